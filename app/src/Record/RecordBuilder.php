<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record;

use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Record\Correction\FigureCorrections;
use FreshHuddle\App\Record\Exception\RecordRefused;
use FreshHuddle\App\Record\Points\PointsRules;
use FreshHuddle\App\Roster\Staff\Staff;
use FreshHuddle\Core\Record\Fact\RunFact;
use FreshHuddle\Core\Record\GroupFigures;
use FreshHuddle\Core\Record\LessonRecord;
use FreshHuddle\Core\Record\Points\StudentPoints;
use FreshHuddle\Core\Record\Recorder;
use FreshHuddle\Core\Record\StripCode;
use FreshHuddle\Core\Record\StripKind;
use FreshHuddle\Core\Record\StudentFigures;

/**
 * The record of a lesson, worked out anew from what happened.
 */
final readonly class RecordBuilder
{
    public function __construct(
        private FactsReader $facts,
        private FigureCorrections $corrections,
        private PointsRules $rules,
        private RecordSentences $sentences,
        private Staff $staff,
    ) {
    }

    /**
     * @throws RecordRefused if the lesson has not begun
     */
    public function record(Lesson $lesson): LessonRecord
    {
        return Recorder::record($this->facts->read($lesson));
    }

    /**
     * @throws RecordRefused if the lesson has not begun
     */
    public function view(Lesson $lesson): RecordView
    {
        $record = $this->record($lesson);
        $facts = $record->facts;
        $groupIds = array_values(
            array_unique(array_map(static fn (GroupFigures $group): string => $group->group, $record->groups)),
        );
        $corrections = $this->corrections->ofLesson($lesson);
        $rule = $this->rules->ofClass($lesson->class);
        $staff = [];
        foreach ($this->staff->names($lesson->class) as $id => $name) {
            $staff[] = new StaffName((string) $id, $name);
        }

        return new RecordView(
            $lesson->id,
            $lesson->title,
            $lesson->class->name,
            $facts->begunAt,
            $lesson->endedAt,
            $facts->endedAt,
            $this->sentences->of($record),
            $facts->segments,
            array_map(
                static fn (RunFact $run): RunView => new RunView(
                    $run->id,
                    $run->round,
                    $run->from,
                    $run->to,
                    $run->groups,
                ),
                $facts->runs,
            ),
            $groupIds,
            StripKind::cases(),
            StripCode::PARTS,
            self::students($record, $groupIds),
            $record->groups,
            $facts->visits,
            $facts->calls,
            $facts->calledOn,
            $facts->progress,
            $staff,
            $corrections->all,
            $rule->parts,
            [] === $rule->parts ? [] : array_map(
                static fn (StudentFigures $one): StudentPoints => $rule->points($one, $corrections),
                $record->students,
            ),
        );
    }

    /**
     * @param list<string> $groupIds
     *
     * @return list<StudentRecordView>
     */
    private static function students(LessonRecord $record, array $groupIds): array
    {
        $facts = $record->facts;
        $wrote = $facts->momentsOfWriting();

        return array_map(
            static fn (StudentFigures $one): StudentRecordView => StudentRecordView::fromFigures(
                $one,
                StripCode::spans($one->strip, $facts->begunAt, $groupIds),
                StripCode::parts($wrote[$one->student] ?? [], $facts->begunAt, $facts->endedAt),
            ),
            $record->students,
        );
    }
}
