<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Record\Fact;

/**
 * A student was to be in a group.
 */
final readonly class SeatFact
{
    /**
     * @param int $to when they were moved, or the run ended
     */
    public function __construct(
        public string $student,
        public string $group,
        public int $from,
        public int $to,
    ) {
    }
}
