<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Record;

use FreshHuddle\Core\Record\Fact\CalledOnFact;
use FreshHuddle\Core\Record\Fact\CallFact;
use FreshHuddle\Core\Record\Fact\ExitFact;
use FreshHuddle\Core\Record\Fact\ProgressFact;
use FreshHuddle\Core\Record\Fact\RunFact;
use FreshHuddle\Core\Record\Fact\SegmentFact;
use FreshHuddle\Core\Record\Fact\SignFact;
use FreshHuddle\Core\Record\Fact\SpeechFact;
use FreshHuddle\Core\Record\Fact\StudentFact;
use FreshHuddle\Core\Record\Fact\VisitFact;
use FreshHuddle\Core\Record\Fact\WritingFact;

/**
 * What happened in a lesson, as its runs and events say. Every figure of its record follows from this alone
 * (docs/formats/record.md). Moments are milliseconds since 1970; lists are in the order of time.
 */
final readonly class Facts
{
    /**
     * @param int                $endedAt  when the lesson was over; while it is on: now
     * @param list<SegmentFact>  $segments
     * @param list<RunFact>      $runs
     * @param list<StudentFact>  $students whoever was there or was to be in a group
     * @param list<SignFact>     $signs
     * @param list<CallFact>     $calls
     * @param list<VisitFact>    $visits
     * @param list<CalledOnFact> $calledOn
     * @param list<WritingFact>  $writing
     * @param list<ProgressFact> $progress
     * @param list<ExitFact>     $exits
     * @param list<SpeechFact>   $speech   in no order: one for each student and place
     */
    public function __construct(
        public int $begunAt,
        public int $endedAt,
        public array $segments = [],
        public array $runs = [],
        public array $students = [],
        public array $signs = [],
        public array $calls = [],
        public array $visits = [],
        public array $calledOn = [],
        public array $writing = [],
        public array $progress = [],
        public array $exits = [],
        public array $speech = [],
    ) {
    }

    /**
     * @return array<string, list<int>> when each student wrote
     */
    public function momentsOfWriting(): array
    {
        $moments = [];
        foreach ($this->writing as $one) {
            $moments[$one->student][] = $one->at;
        }

        return $moments;
    }
}
