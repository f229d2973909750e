<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live;

use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Grouping\Desk\DeskGoal;
use FreshHuddle\App\Grouping\Desk\DeskNotes;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Grouping\Floor\FloorView;
use FreshHuddle\App\Grouping\Proposal\Why\Judge;
use FreshHuddle\App\Http\SignedAddress;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Lesson\LessonRepository;
use FreshHuddle\App\Lesson\Order\RunningOrders;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Lesson\Round\RoundView;
use FreshHuddle\App\Lesson\Run\RunReader;
use FreshHuddle\App\Lesson\UsageReader;
use FreshHuddle\App\Live\ClassPage\ClassPageController;
use FreshHuddle\App\Live\Moving\MoveStore;
use FreshHuddle\App\Live\Presence\SeatedStudent;
use FreshHuddle\App\Live\Presence\WhereaboutsReader;
use FreshHuddle\App\Live\Signal\LiveGroups;
use FreshHuddle\App\Live\Student\OtherLesson;
use FreshHuddle\App\Materials\HandOut\HandingOut;
use FreshHuddle\App\Ready\Readiness;
use FreshHuddle\App\Ready\SetUp\SetUpLists;
use FreshHuddle\App\Ready\SetUp\SetUpReader;
use FreshHuddle\App\Ready\SetUp\SetUpSummary;
use FreshHuddle\App\Rooms\RoomReader;
use FreshHuddle\App\Rooms\Run\RunRoomStore;
use FreshHuddle\App\Rooms\Source\RoomSources;
use FreshHuddle\App\Roster\ClassReader;
use FreshHuddle\App\Roster\Column\AttributeView;
use FreshHuddle\App\Roster\Door\Doorway\Doorway;
use FreshHuddle\App\Roster\StudentView;
use FreshHuddle\App\Words\Words;
use FreshHuddle\App\Worker\FailedTasks;
use FreshHuddle\Core\Grouping\Floor;
use FreshHuddle\Core\Grouping\GoalKind;
use FreshHuddle\Core\Grouping\Group;
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
        private LessonRepository $lessons,
        private RunReader $runs,
        private RunRoomStore $runRooms,
        private UsageReader $usage,
        private DeskNotes $notes,
        private Judge $judge,
    ) {
    }

    /**
     * @param string|null $segmentId whose round to show; null, or one that is done in no groups: the one the lesson is
     *                               in
     *                               or comes to next
     */
    public function view(Lesson $lesson, ?string $segmentId = null): LessonView
    {
        $roundNow = $this->orders->roundNow($lesson);
        $round = $this->round($lesson, $segmentId) ?? $roundNow;
        $class = $lesson->class;
        $isOver = null !== $lesson->endedAt;
        $everybody = $this->classes->students($class->id);
        $present = $isOver ? $this->events->present($lesson->id) : [];
        $students = $isOver
            ? $this->whoTookPart($lesson, $everybody, $present)
            : array_values(
                array_filter(
                    $everybody,
                    static fn (StudentView $student): bool => $student->seatable && $student->takesPartIn($lesson->id),
                ),
            );
        // Of a lesson that is over the runs are shown, and nothing of what its groups have become since.
        $floor = $isOver ? $this->runs->floor($round->id) : $this->floors->now($round->grouping->id);
        $copies = $this->handingOut->summaries($round->id);
        $now = $this->clock->ms();
        $floorNow = $round === $roundNow || $isOver ? $floor : $this->floors->now($roundNow->grouping->id);
        $moves = $this->moves->of($roundNow->id);
        $isOutNow = $roundNow->state()->phase($now)->isUnderWay();
        $since = $class->currentLessonId === $lesson->id ? $lesson->time()->countsSince($now) : null;
        $where = $isOver
            ? self::wasThere($students, $present)
            : $this->whereabouts->of($class->id, $students, $floorNow, $roundNow->state(), $moves, $now, $since);
        $onList = array_map(static fn (StudentView $student): string => $student->id, $students);

        $rooms = $isOver ? [] : $this->rooms->ofRound($round->grouping->id, $class->id, $floor);
        $rows = $this->handingOut->rows($round, $floor, $copies);
        $order = $this->orders->view($lesson);
        $phase = $round->state()->phase($now);
        $isPlanned = !$isOver && (Phase::Planned === $phase || Phase::Back === $phase);
        [$list, $lists] = $isPlanned ? $this->setUpLists->ofLesson($round, $everybody, false) : [null, []];
        $setUp = $this->setUps->of($lesson->id);
        $run = $isOver ? $this->runs->lastRun($round->id) : null;
        [$groups, $visits] =
            !$isOver && $phase->isUnderWay() ? $this->liveGroups->of($round, $floor, $where, $rooms, $now) : [[], []];

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
            FloorView::of(
                $round->grouping->id,
                $round->grouping->name,
                $this->floors->steps($round->grouping->id),
                $floor,
                $onList,
            ),
            array_map(
                static fn (StudentView $student): SeatedStudent => new SeatedStudent(
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
                    $isOver ? null : Help::for($where[$student->id]),
                    $isOutNow ? $moves->of($student->id)?->place : null,
                    $isOutNow ? $moves->of($student->id)?->from : null,
                    $moves->of($student->id)?->fetchedAt,
                ),
                $students,
            ),
            $rooms,
            $this->roomSources->of($class)->kind,
            $rows,
            $copies,
            null === $list
                ? []
                : $this->readiness->of(
                    $round,
                    $students,
                    $order,
                    $list,
                    $lists,
                    $setUp->running ?? false,
                    ['floor' => $floor, 'rooms' => $rooms, 'rows' => $rows, 'copies' => $copies],
                    array_values(
                        array_filter(
                            array_map(static fn (Whereabouts $one): ?string => $one->at, $where),
                            \is_string(...),
                        ),
                    ),
                ),
            null === $list ? null : $this->summary($list),
            $setUp,
            $groups,
            $visits,
            $this->events->notices($lesson->id),
            $isOver ? [] : $this->doorway->of($class->id),
            !$isOver && $class->strangersOut(new \DateTimeImmutable('@'.intdiv($now, 1_000))),
            $this->failed->of($class->id),
            '/class-page/'.$this->address->of(ClassPageController::WHAT, $lesson->id, $lesson->classPageNumber),
            $isOver ? null : AttributeView::toMixBy($students),
            !$isOver && Phase::Planned === $phase ? $this->partners($round, $floor) : null, // once out, they have met
            $lesson->talkOnly,
            $this->otherLesson($lesson, $now),
            $isOver && null !== $run ? $this->runRooms->rooms($run) : [],
            $isOver ? [] : $this->usage->otherLessons($round->grouping->id, $lesson->id, $now),
            $this->handingOut->alone($lesson),
            $lesson->locksAtEnd,
        );
    }

    private function summary(SetUpList $list): SetUpSummary
    {
        $press = $list->summary();

        return new SetUpSummary(
            $list->digest(),
            null === $press ? null : $this->words->say($press),
            \count($list->steps),
            \count($list->steps) - \count($list->harmless()),
        );
    }

    /**
     * How far new partners have been had, where they are wanted.
     */
    private function partners(Round $round, Floor $floor): ?string
    {
        $goals = array_values(
            array_filter(
                $this->notes->settings($round->grouping->id)->goals,
                static fn (DeskGoal $goal): bool => GoalKind::NewPartners === $goal->kind,
            ),
        );

        return [] === $goals || [] === $floor->groups ? null : $this->judge->partners($round->grouping, $floor);
    }

    /**
     * The class's other lesson that is on, if there is one.
     */
    private function otherLesson(Lesson $lesson, int $now): ?OtherLesson
    {
        $other = $this->lessons->otherThatIsOn($lesson);
        if (null === $other) {
            return null;
        }
        $round = $this->orders->roundNow($other);
        $groups = $round->state()->phase($now)->isUnderWay()
            ? array_filter(
                $this->floors->now($round->grouping->id)->groups,
                static fn (Group $group): bool => [] !== $group->students,
            )
            : [];

        return new OtherLesson(
            $other->id,
            $other->title,
            null === $other->startsAt ? null : (int) $other->startsAt->format('Uv'),
            array_sum(array_map(static fn (Group $group): int => \count($group->students), $groups)),
            \count($groups),
        );
    }

    /**
     * Everybody who sat in a group of a lesson or was there, by the name they had then.
     *
     * @param list<StudentView>   $everybody the class list now
     * @param array<string, true> $present
     *
     * @return list<StudentView>
     */
    private function whoTookPart(Lesson $lesson, array $everybody, array $present): array
    {
        $names = $this->runs->names($lesson->id);
        $students = [];
        foreach ($everybody as $student) {
            if (isset($names[$student->id]) || (isset($present[$student->id]) && $student->seatable)) {
                $students[] = $student->called($names[$student->id] ?? $student->name);
                unset($names[$student->id]);
            }
        }
        // Who is on the list no more.
        foreach ($names as $id => $name) {
            $students[] = new StudentView($id, $name, false, false);
        }

        return $students;
    }

    /**
     * @param list<StudentView>   $students
     * @param array<string, true> $present
     *
     * @return array<string, Whereabouts> by student
     */
    private static function wasThere(array $students, array $present): array
    {
        $where = [];
        foreach ($students as $student) {
            $where[$student->id] = isset($present[$student->id])
                ? Whereabouts::wasThere()
                : ($student->absent
                    ? Whereabouts::excused()
                    : Whereabouts::neverCame());
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
