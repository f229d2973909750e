<?php

declare(strict_types=1);

namespace FreshHuddle\App\DryRun\Rehearsal;

/**
 * What is likely to come of a round: the middle of what came in rehearsals.
 */
final readonly class RehearsedRoundView
{
    /**
     * @param int      $round        its number
     * @param int      $movedSeconds until nine of ten students are with their group
     * @param int      $visited      groups that somebody was with
     * @param int      $groups       all of them
     * @param int|null $waitSeconds  for which a call waits; null: nobody calls
     * @param int      $backSeconds  from when the call back begins until nine of ten are in the main session
     * @param int      $done         groups that are done with their work
     */
    public function __construct(
        public int $round,
        public int $movedSeconds,
        public int $visited,
        public int $groups,
        public ?int $waitSeconds,
        public int $backSeconds,
        public int $done,
    ) {
    }
}
