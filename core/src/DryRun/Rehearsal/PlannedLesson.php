<?php

declare(strict_types=1);

namespace FreshHuddle\Core\DryRun\Rehearsal;

use FreshHuddle\Core\Live\Observability;

/**
 * A lesson that is rehearsed.
 */
final readonly class PlannedLesson
{
    /**
     * @param array<array-key, string> $students name by id, of those who are to come
     * @param list<PlannedRound>       $rounds   in their order
     * @param int                      $minutes  of the lesson
     * @param bool                     $isYoung  they cannot read yet
     * @param bool                     $takesIn  pages take students to their rooms by themselves
     * @param Observability            $sight    what can be known of who is where
     * @param int                      $visitors who go from group to group
     */
    public function __construct(
        public array $students,
        public array $rounds,
        public int $minutes,
        public bool $isYoung = false,
        public bool $takesIn = false,
        public Observability $sight = Observability::Page,
        public int $visitors = 1,
    ) {
    }
}
