<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record;

use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Record\Exception\RecordRefused;
use FreshHuddle\App\Roster\Staff\Staff;
use FreshHuddle\App\Words\Words;
use FreshHuddle\Core\Message;
use FreshHuddle\Core\Record\Fact\RunFact;
use FreshHuddle\Core\Record\GroupFigures;
use FreshHuddle\Core\Record\LessonRecord;
use FreshHuddle\Core\Record\Recorder;
use FreshHuddle\Core\Record\StripCode;
use FreshHuddle\Core\Record\StripKind;
use FreshHuddle\Core\Record\StudentFigures;
use FreshHuddle\Core\Record\Summary;

/**
 * The record of a lesson, worked out anew from what happened.
 */
final readonly class RecordBuilder
{
    public function __construct(private FactsReader $facts, private Staff $staff, private Words $words)
    {
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
            array_map(
                fn (array $one): SentenceView => new SentenceView($this->say($one[0]), $one[1]),
                Summary::sentences($record),
            ),
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
            array_map(GroupRecordView::fromFigures(...), $record->groups),
            $facts->visits,
            $facts->calls,
            $facts->calledOn,
            $facts->progress,
            $staff,
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
        $wrote = [];
        foreach ($facts->writing as $one) {
            $wrote[$one->student][] = $one->at;
        }

        return array_map(
            static fn (StudentFigures $one): StudentRecordView => StudentRecordView::fromFigures(
                $one,
                StripCode::spans($one->strip, $facts->begunAt, $groupIds),
                StripCode::parts($wrote[$one->student] ?? [], $facts->begunAt, $facts->endedAt),
            ),
            $record->students,
        );
    }

    private function say(Message $message): string
    {
        return $this->words->say($message);
    }
}
