<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Desk;

use FreshHuddle\App\Grouping\Desk\DeskGoal;
use FreshHuddle\App\Grouping\Desk\DeskNotes;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Grouping\Floor\FloorView;
use FreshHuddle\App\Grouping\History\OtherUse;
use FreshHuddle\App\Grouping\Proposal\Why\Judge;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Lesson\Run\RunReader;
use FreshHuddle\App\Lesson\UsageReader;
use FreshHuddle\App\Live\Presence\SeatedStudent;
use FreshHuddle\App\Rooms\Run\RunRoomStore;
use FreshHuddle\App\Rooms\Run\RunRoomView;
use FreshHuddle\App\Roster\StudentView;
use FreshHuddle\Core\Grouping\GoalKind;
use FreshHuddle\Core\Lesson\Phase;
use FreshHuddle\Core\Live\Moving\Help;

/**
 * The groups of a lesson's page, and who sits where.
 */
final readonly class FloorPanel
{
    public function __construct(
        private FloorStore $floors,
        private DeskNotes $notes,
        private Judge $judge,
        private UsageReader $usage,
        private RunReader $runs,
        private RunRoomStore $runRooms,
    ) {
    }

    public function floor(LessonMoment $at): FloorView
    {
        return FloorView::fromFloor(
            $at->round->grouping->id,
            $at->round->grouping->name,
            $this->floors->steps($at->round->grouping->id),
            $at->floor,
            array_map(static fn (StudentView $student): string => $student->id, $at->students),
        );
    }

    /**
     * @return list<RunRoomView> of a lesson that is over: the rooms its groups had
     */
    public function runRooms(LessonMoment $at): array
    {
        $run = $at->isOver ? $this->runs->lastRun($at->round->id) : null;

        return null === $run ? [] : $this->runRooms->rooms($run);
    }

    /**
     * @return list<SeatedStudent>
     */
    public function students(LessonMoment $at): array
    {
        $isOutNow = $at->isOutNow();

        return array_map(
            static fn (StudentView $student): SeatedStudent => new SeatedStudent(
                $student->id,
                $student->name,
                $student->absent,
                $student->claimed,
                $at->where[$student->id]->place,
                $at->where[$student->id]->because,
                $at->where[$student->id]->at,
                $student->table,
                $student->attributes,
                $student->tags,
                $at->isOver ? null : Help::for($at->where[$student->id]),
                $isOutNow ? $at->moves->forStudent($student->id)?->place : null,
                $isOutNow ? $at->moves->forStudent($student->id)?->from : null,
                $at->moves->forStudent($student->id)?->fetchedAt,
            ),
            $at->students,
        );
    }

    /**
     * @return string|null how far new partners are had, where they are wanted; once students are out, they have met
     */
    public function partners(LessonMoment $at): ?string
    {
        if ($at->isOver || Phase::Planned !== $at->phase() || [] === $at->floor->groups) {
            return null;
        }
        $goals = array_filter(
            $this->notes->settings($at->round->grouping->id)->goals,
            static fn (DeskGoal $goal): bool => GoalKind::NewPartners === $goal->kind,
        );

        return [] === $goals ? null : $this->judge->partners($at->round->grouping, $at->floor);
    }

    /**
     * @return list<OtherUse> other lessons with the same groups that are on or over
     */
    public function usedBy(LessonMoment $at): array
    {
        return $at->isOver ? [] : $this->usage->otherLessons($at->round->grouping->id, $at->lesson->id, $at->now);
    }
}
