<?php

declare(strict_types=1);

namespace FreshHuddle\Core\DryRun\Rehearsal;

/**
 * A round that is rehearsed.
 */
final readonly class PlannedRound
{
    /**
     * @param int                $number      as the running order counts it
     * @param int                $beginsAt    milliseconds from the beginning of the lesson
     * @param int                $lookSeconds 0 to 120
     * @param int                $minutes     1 to 600
     * @param int                $backSeconds 0 to 120: how long the call back runs
     * @param list<PlannedTable> $tables
     */
    public function __construct(
        public int $number,
        public int $beginsAt,
        public int $lookSeconds,
        public int $minutes,
        public int $backSeconds,
        public array $tables,
    ) {
    }
}
