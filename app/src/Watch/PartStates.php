<?php

declare(strict_types=1);

namespace FreshHuddle\App\Watch;

use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;

/**
 * Which parts of the instance are up. However many ask, the parts are asked every few seconds at most: anybody may ask.
 */
final readonly class PartStates
{
    private const KEY = 'watch|parts';
    /** Seconds. */
    private const KEPT = 3;

    /**
     * @param iterable<Part> $parts
     */
    public function __construct(#[AutowireIterator(Part::class)] private iterable $parts)
    {
    }

    /**
     * @return array<string, bool> by name, in order
     */
    public function read(): array
    {
        $isShared = \function_exists('apcu_enabled') && apcu_enabled();
        /** @var array<string, bool>|false $kept nobody else writes there */
        $kept = $isShared ? apcu_fetch(self::KEY) : false;
        if (false !== $kept) {
            return $kept;
        }
        $states = [];
        foreach ($this->parts as $part) {
            $states[$part->name()] = $part->isUp();
        }
        ksort($states);
        if ($isShared) {
            apcu_store(self::KEY, $states, self::KEPT);
        }

        return $states;
    }

    /**
     * Whether lessons can go on.
     *
     * @param array<string, bool> $states as read
     */
    public function isReady(array $states): bool
    {
        foreach ($this->parts as $part) {
            if ($part->isNeeded() && !($states[$part->name()] ?? false)) {
                return false;
            }
        }

        return true;
    }
}
