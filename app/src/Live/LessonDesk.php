<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live;

use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Grouping\Floor\FloorView;
use FreshHuddle\App\Http\SignedAddress;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Lesson\Round;
use FreshHuddle\App\Lesson\RoundView;
use FreshHuddle\App\Lesson\RunningOrders;
use FreshHuddle\App\Live\ClassPage\ClassPageController;
use FreshHuddle\App\Live\Moving\MoveStore;
use FreshHuddle\App\Live\Signal\LiveGroups;
use FreshHuddle\App\Materials\HandOut\HandingOut;
use FreshHuddle\App\Ready\Readiness;
use FreshHuddle\App\Ready\SetUp\SetUpLists;
use FreshHuddle\App\Ready\SetUp\SetUpReader;
use FreshHuddle\App\Ready\SetUp\SetUpSummary;
use FreshHuddle\App\Rooms\RoomReader;
use FreshHuddle\App\Rooms\RoomSources;
use FreshHuddle\App\Roster\ClassReader;
use FreshHuddle\App\Roster\Door\Doorway;
use FreshHuddle\App\Roster\StudentView;
use FreshHuddle\App\Words\Words;
use FreshHuddle\App\Worker\FailedTasks;
use FreshHuddle\Core\Lesson\Phase;
use FreshHuddle\Core\Live\Moving\Help;
use FreshHuddle\Core\Live\Whereabouts;
use FreshHuddle\Core\Ready\SetUp\SetUpList;

/**
 * A lesson as the teacher's screen needs it.
 */
final readonly class LessonDesk
{
    public function __construct(
        private Clock $clock,
        private FloorStore $floors,
        private ClassReader $classes,
        private WhereaboutsReader $whereabouts,
        private RoomReader $rooms,
        private RoomSources $roomSources,
        private LiveGroups $liveGroups,
        private MoveStore $moves,
        private Readiness $readiness,
        private SetUpLists $setUpLists,
        private SetUpReader $setUps,
        private Words $words,
        private HandingOut $handingOut,
        private EventStore $events,
        private Doorway $doorway,
        private FailedTasks $failed,
        private RunningOrders $orders,
        private SignedAddress $address,
    ) {
    }

    /**
     * @param string|null $segmentId whose round to show; null, or one that is done in no groups: the one the lesson is in
     *                               or comes to next
     */
    public function view(Lesson $lesson, ?string $segmentId = null): LessonView
    {
        $roundNow = $this->orders->roundNow($lesson);
        $round = $this->round($lesson, $segmentId) ?? $roundNow;
        $class = $lesson->class;
        $everybody = $this->classes->students($class->id);
        $students = array_values(array_filter($everybody, static fn (StudentView $student): bool => $student->seatable));
        $floor = $this->floors->now($round->grouping->id);
        $copies = $this->handingOut->summaries($round->id);
        $now = $this->clock->ms();
        $floorNow = $round === $roundNow ? $floor : $this->floors->now($roundNow->grouping->id);
        $moves = $this->moves->of($roundNow->id);
        $isOutNow = $roundNow->state()->phase($now)->isUnderWay();
        $where = null === $lesson->endedAt ? $this->whereabouts->of($class->id, $students, $floorNow, $roundNow->state(), $moves, $now) : $this->wasThere($lesson, $students);
        $onList = array_map(static fn (StudentView $student): string => $student->id, $students);

        $rooms = $this->rooms->ofRound($round->grouping->id, $class->id, $floor);
        $rows = $this->handingOut->rows($round, $floor, $copies);
        $order = $this->orders->view($lesson);
        $phase = $round->state()->phase($now);
        $isPlanned = null === $lesson->endedAt && (Phase::Planned === $phase || Phase::Back === $phase);
        $list = $isPlanned ? $this->setUpLists->of($round, $floor, $everybody, $copies, false) : null;
        $setUp = $this->setUps->of($lesson->id);
        [$groups, $visits] = null === $lesson->endedAt && $phase->isUnderWay() ? $this->liveGroups->of($round, $floor, $where, $now) : [[], []];

        return new LessonView(
            $lesson->id,
            $lesson->title,
            $lesson->minutes,
            null === $lesson->startsAt ? null : (int) $lesson->startsAt->format('Uv'),
            $lesson->template,
            $class->id,
            $class->name,
            $class->doorWord,
            $class->currentLessonId === $lesson->id,
            $lesson->endedAt,
            $lesson->eventSeq,
            $now,
            $order,
            RoundView::of($round),
            RoundView::of($roundNow),
            FloorView::of($round->grouping->id, $round->grouping->name, $this->floors->steps($round->grouping->id), $floor, $onList),
            array_map(static fn (StudentView $student): SeatedStudent => new SeatedStudent(
                $student->id,
                $student->name,
                $student->absent,
                $student->claimed,
                $where[$student->id]->place,
                $where[$student->id]->because,
                $where[$student->id]->at,
                $student->table,
                $student->attributes,
                $student->tags,
                null === $lesson->endedAt ? Help::for($where[$student->id]) : null,
                $isOutNow ? $moves->of($student->id)?->place : null,
                $isOutNow ? $moves->of($student->id)?->from : null,
                $moves->of($student->id)?->fetchedAt,
            ), $students),
            $rooms,
            $this->roomSources->of($class)->kind,
            $rows,
            $copies,
            null === $list ? [] : $this->readiness->of($round, $floor, $students, $rooms, $rows, $copies, $order, $list, $setUp->running ?? false),
            null === $list ? null : $this->summary($list),
            $setUp,
            $groups,
            $visits,
            $this->events->notices($lesson->id),
            $this->doorway->of($class->id),
            $this->failed->of($class->id),
            '/class-page/'.$this->address->of(ClassPageController::WHAT, $lesson->id, $lesson->classPageNumber),
        );
    }

    private function summary(SetUpList $list): SetUpSummary
    {
        $press = $list->summary();

        return new SetUpSummary($list->digest(), null === $press ? null : $this->words->say($press), \count($list->steps), \count($list->steps) - \count($list->harmless()));
    }

    /**
     * @param list<StudentView> $students
     *
     * @return array<string, Whereabouts> by student
     */
    private function wasThere(Lesson $lesson, array $students): array
    {
        $present = $this->events->present($lesson->id);
        $where = [];
        foreach ($students as $student) {
            $where[$student->id] = isset($present[$student->id]) ? Whereabouts::wasThere() : ($student->absent ? Whereabouts::excused() : Whereabouts::neverCame());
        }

        return $where;
    }

    private function round(Lesson $lesson, ?string $segmentId): ?Round
    {
        foreach (null === $segmentId ? [] : $this->orders->segments($lesson) as $segment) {
            if ($segment->id === $segmentId) {
                return $segment->round;
            }
        }

        return null;
    }
}
