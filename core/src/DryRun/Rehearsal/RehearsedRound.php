<?php

declare(strict_types=1);

namespace FreshHuddle\Core\DryRun\Rehearsal;

/**
 * What came of a round that was rehearsed once. Times are seconds.
 */
final readonly class RehearsedRound
{
    /**
     * @param int                  $number   as the running order counts it
     * @param int                  $students who had come when groups were sent out
     * @param list<float>          $moved    of each of those, how long from being sent until they were with their
     *                                       group, at most until the call back; the shortest first
     * @param int                  $lost     who were not where they belong for two minutes or more
     * @param list<float>          $back     of each who had been with their group, how long from when the call back
     *                                       began until they were in the main session; the shortest first
     * @param array<string, int>   $visits   how often somebody was there, by group
     * @param array<string, float> $done     how much of its work was done at the end, 0 to 1, by group
     * @param array<string, ?float> $doneAfter how long from being sent until all of it was done, by group; null: it
     *                                        was not
     * @param list<float>          $calls    how long each call waited
     */
    public function __construct(
        public int $number,
        public int $students,
        public array $moved,
        public int $lost,
        public array $back,
        public array $visits,
        public array $done,
        public array $doneAfter,
        public array $calls,
    ) {
    }
}
