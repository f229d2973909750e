<?php

declare(strict_types=1);

namespace FreshHuddle\App\Worker;

use FreshHuddle\App\Database\Clock;
use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;

/**
 * Has everybody let go of what was kept only for a time.
 */
final readonly class PurgeTaskHandler implements TaskHandler
{
    public const TIDY = 'tidy';

    private const EVERY = 3_600_000;

    /**
     * @param iterable<PurgesExpired> $all
     */
    public function __construct(#[AutowireIterator(PurgesExpired::class)] private iterable $all, private Clock $clock)
    {
    }

    public static function kinds(): array
    {
        return [self::TIDY];
    }

    public function classOf(Task $task): ?string
    {
        return null;
    }

    public function handle(Task $task): int
    {
        foreach ($this->all as $purge) {
            $purge->forgetOld();
        }

        return $this->clock->ms() + self::EVERY;
    }
}
