<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live;

use Psr\Clock\ClockInterface;

/**
 * The one clock lessons go by.
 */
final readonly class LessonClock
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
