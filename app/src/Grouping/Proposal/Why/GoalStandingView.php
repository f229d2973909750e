<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Proposal\Why;

use FreshHuddle\Core\Grouping\Explain\DegreeUnit;

/**
 * How far a goal is met.
 */
final readonly class GoalStandingView
{
    /**
     * @param float      $met      0 to 1, on a teacher's own scale
     * @param DegreeUnit $unit     what is counted
     * @param int        $count    how many of them
     * @param int        $of       out of how many
     * @param string     $obstacle what stands in the way; '' where nothing does
     * @param string     $summary  what each group has; '' where the count says it all
     */
    public function __construct(
        public float $met,
        public DegreeUnit $unit,
        public int $count,
        public int $of,
        public string $obstacle,
        public string $summary,
    ) {
    }
}
