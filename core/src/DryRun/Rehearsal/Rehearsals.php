<?php

declare(strict_types=1);

namespace FreshHuddle\Core\DryRun\Rehearsal;

use FreshHuddle\Core\Ready\Finding;

/**
 * The same lesson, rehearsed several times with other students: what is likely to come of it.
 */
final readonly class Rehearsals
{
    /**
     * @param list<list<RehearsedRound>> $runs the rounds of each; as many as the lesson has
     */
    private function __construct(public PlannedLesson $lesson, public array $runs)
    {
    }

    /**
     * @param int<1, max> $times how often
     *
     * Complexity: as Rehearsal::of, `times` times
     */
    public static function of(PlannedLesson $lesson, int $times, int $seed = 1): self
    {
        $runs = [];
        for ($i = 0; $i < $times; ++$i) {
            $runs[] = Rehearsal::of($lesson, $seed + $i);
        }

        return new self($lesson, $runs);
    }

    /**
     * What is worth a look before the lesson, as the ready check says it.
     *
     * @return list<Finding> round by round
     */
    public function findings(): array
    {
        $looks = [
            new Look\CallBackShort(),
            new Look\SlowToMove(),
            new Look\Unvisited(),
            new Look\LongWaits(),
            new Look\Unfinished(),
            new Look\DoneEarly(),
            new Look\OutOfSight(),
        ];
        $findings = [];
        foreach ($this->lesson->rounds as $at => $round) {
            $rehearsed = array_column($this->runs, $at);
            if ([] === $rehearsed) {
                continue;
            }
            foreach ($looks as $look) {
                $finding = $look->find($this->lesson, $round, $rehearsed);
                if (null !== $finding) {
                    $findings[] = $finding->about([$round->number]);
                }
            }
        }

        return $findings;
    }
}
