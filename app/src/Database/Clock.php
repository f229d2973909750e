<?php

declare(strict_types=1);

namespace FreshHuddle\App\Database;

use Psr\Clock\ClockInterface;

/**
 * The one clock everything goes by.
 */
final readonly class Clock
{
    public function __construct(private ClockInterface $clock)
    {
    }

    /**
     * @return int milliseconds since 1970
     */
    public function ms(): int
    {
        return (int) $this->clock->now()->format('Uv');
    }
}
