<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Desk;

use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Lesson\Order\RunningOrders;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Lesson\Run\RunReader;
use FreshHuddle\App\Live\EventStore;
use FreshHuddle\App\Live\Moving\MoveStore;
use FreshHuddle\App\Live\Presence\WhereaboutsReader;
use FreshHuddle\App\Rooms\RoomReader;
use FreshHuddle\App\Roster\ClassReader;
use FreshHuddle\App\Roster\StudentView;
use FreshHuddle\Core\Grouping\Group;
use FreshHuddle\Core\Live\Whereabouts;

/**
 * Reads a lesson as it is at this moment.
 */
final readonly class LessonMoments
{
    public function __construct(
        private Clock $clock,
        private RunningOrders $orders,
        private ClassReader $classes,
        private EventStore $events,
        private RunReader $runs,
        private FloorStore $floors,
        private RoomReader $rooms,
        private MoveStore $moves,
        private WhereaboutsReader $whereabouts,
    ) {
    }

    /**
     * @param string|null $segmentId whose round to show; null, or one that is done in no groups: the one the lesson is
     *     in or comes to next
     */
    public function forLesson(Lesson $lesson, ?string $segmentId): LessonMoment
    {
        $roundNow = $this->orders->roundNow($lesson);
        $round = (null === $segmentId ? null : $this->orders->find($lesson, $segmentId)?->round) ?? $roundNow;
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
        $floor = $isOver ? $this->runs->floor($round->id) : $this->floors->now($round->grouping->id);
        $now = $this->clock->ms();
        $floorNow = $round === $roundNow || $isOver ? $floor : $this->floors->now($roundNow->grouping->id);
        $moves = $this->moves->forRound($roundNow->id);
        $since = $class->currentLessonId === $lesson->id ? $lesson->time()->countsSince($now) : null;

        return new LessonMoment(
            $lesson,
            $now,
            $round,
            $roundNow,
            $isOver,
            $everybody,
            $students,
            $isOver
                ? self::wasThere($students, $present)
                : $this->whereabouts->forClass(
                    $class->id,
                    $students,
                    $floorNow,
                    $roundNow->state(),
                    $moves,
                    $now,
                    $since,
                ),
            $moves,
            $floor,
            $isOver ? [] : $this->rooms->ofRound($round->grouping->id, $class->id, $floor),
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
}
