<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record;

use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Record\Exception\RecordRefused;
use FreshHuddle\App\Roster\Staff\Staff;
use FreshHuddle\App\Words\Words;
use FreshHuddle\Core\Message;
use FreshHuddle\Core\Record\Fact\RunFact;
use FreshHuddle\Core\Record\LessonRecord;
use FreshHuddle\Core\Record\Recorder;
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
                static fn (RunFact $run): RunView => new RunView($run->id, $run->round, $run->from, $run->to, $run->groups),
                $facts->runs,
            ),
            array_map(StudentRecordView::fromFigures(...), $record->students),
            array_map(GroupRecordView::fromFigures(...), $record->groups),
            $facts->visits,
            $facts->calls,
            $facts->calledOn,
            $facts->writing,
            $facts->progress,
            $staff,
        );
    }

    private function say(Message $message): string
    {
        return $this->words->say($message);
    }
}
