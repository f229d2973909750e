<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Record;

/**
 * What a run's facts say of one group.
 */
final readonly class GroupFigures
{
    /**
     * @param int                $round     number of the round, from 1
     * @param list<string>       $students  who was in it last
     * @param int                $visits    how often somebody of the staff was with it
     * @param int                $visitedMs how long in all; two at the same time count once
     * @param int                $calls     how often it asked for help
     * @param int                $waitedMs  how long it waited in all
     * @param int                $longestMs how long the longest time
     * @param int                $filled    places at the end
     * @param int                $of        places
     * @param list<Contribution> $put       how much each has put in
     */
    public function __construct(
        public string $group,
        public string $name,
        public int $mark,
        public int $round,
        public array $students,
        public int $visits,
        public int $visitedMs,
        public int $calls,
        public int $waitedMs,
        public int $longestMs,
        public int $filled,
        public int $of,
        public array $put,
    ) {
    }
}
