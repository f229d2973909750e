<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record;

use FreshHuddle\Core\Record\Correction\Correction;
use FreshHuddle\Core\Record\Fact\CalledOnFact;
use FreshHuddle\Core\Record\Fact\CallFact;
use FreshHuddle\Core\Record\Fact\ProgressFact;
use FreshHuddle\Core\Record\Fact\SegmentFact;
use FreshHuddle\Core\Record\Fact\VisitFact;
use FreshHuddle\Core\Record\GroupFigures;
use FreshHuddle\Core\Record\Points\PointsPart;
use FreshHuddle\Core\Record\Points\StudentPoints;
use FreshHuddle\Core\Record\StripKind;

/**
 * What came of a lesson, for the teacher.
 */
final readonly class RecordView
{
    /**
     * @param int                     $begunAt  milliseconds since 1970
     * @param int|null                $endedAt  null while it is on
     * @param int                     $until    to when the figures go
     * @param list<SentenceView>      $says     what happened, in a few sentences
     * @param list<SegmentFact>       $segments
     * @param list<RunView>           $runs
     * @param list<string>            $groupIds what strips number groups by
     * @param list<StripKind>         $kinds    what strips number kinds by
     * @param int                     $parts    into so many parts the lesson is cut for what was written
     * @param list<StudentRecordView> $students
     * @param list<GroupFigures>      $groups
     * @param list<VisitFact>         $visits
     * @param list<CallFact>          $calls
     * @param list<CalledOnFact>      $calledOn
     * @param list<ProgressFact>      $progress
     * @param list<StaffName>         $staff
     * @param list<Correction>        $corrections figures corrected by hand
     * @param list<PointsPart>        $pointsRule  how points come about; empty: there are none
     * @param list<StudentPoints>     $points      of each student, if there is a rule
     */
    public function __construct(
        public string $lesson,
        public string $title,
        public string $className,
        public int $begunAt,
        public ?int $endedAt,
        public int $until,
        public array $says,
        public array $segments,
        public array $runs,
        public array $groupIds,
        public array $kinds,
        public int $parts,
        public array $students,
        public array $groups,
        public array $visits,
        public array $calls,
        public array $calledOn,
        public array $progress,
        public array $staff,
        public array $corrections,
        public array $pointsRule,
        public array $points,
    ) {
    }
}
