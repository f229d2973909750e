<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Presence;

use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Lesson\LessonNow;
use FreshHuddle\App\Lesson\Round\Moments;
use FreshHuddle\App\Live\Moving\MoveStore;
use FreshHuddle\App\Rooms\RoomReader;
use FreshHuddle\App\Roster\ClassReader;
use FreshHuddle\App\Roster\StudentView;
use FreshHuddle\Core\Grouping\Floor;
use FreshHuddle\Core\Lesson\RoundState;
use FreshHuddle\Core\Live\Evidence;
use FreshHuddle\Core\Live\Moving\Moves;
use FreshHuddle\Core\Live\Observability;
use FreshHuddle\Core\Live\Place;
use FreshHuddle\Core\Live\Whereabouts;

/**
 * Puts the evidence about a class and where everybody should be into core's question.
 */
final readonly class WhereaboutsReader
{
    public function __construct(
        private PresenceStore $presence,
        private FloorStore $floors,
        private ClassReader $classes,
        private RoomReader $rooms,
        private MoveStore $moves,
    ) {
    }

    /**
     * @param int $now milliseconds since 1970
     *
     * @return array<string, Whereabouts> by student of the class a lesson is of
     */
    public function inLesson(LessonNow $lesson, int $now): array
    {
        $floor = null === $lesson->groupingId ? new Floor() : $this->floors->now($lesson->groupingId);

        return $this->forClass(
            $lesson->classId,
            $this->classes->students($lesson->classId),
            $floor,
            $lesson->moments ?? Moments::fromState(RoundState::planned()),
            null === $lesson->roundId ? new Moves() : $this->moves->forRound($lesson->roundId),
            $now,
            $lesson->countsSince($now),
        );
    }

    /**
     * @param list<StudentView> $students
     * @param int|null          $since    since when signs count for the lesson; null: none do
     *
     * @return array<string, Whereabouts> by student
     */
    public function forClass(
        string $classId,
        array $students,
        Floor $floor,
        Moments $moments,
        Moves $moves,
        int $now,
        ?int $since,
    ): array {
        $state = $moments->state();
        $groups = [];
        foreach ($floor->groups as $group) {
            $groups += array_fill_keys($group->students, $group->id);
        }
        $evidence = $this->presence->ofClass($classId);
        $sources = $this->rooms->sources($classId);
        $whereabouts = [];
        foreach ($students as $student) {
            $signs = $evidence[$student->id] ?? new Evidence();
            if (null === $since || ($signs->lastSign() ?? 0) < $since) {
                $signs = new Evidence();
            }
            $expected = $moves->expected($student->id, $groups[$student->id] ?? null, $state, $now);
            $where = Whereabouts::fromEvidence(
                $signs,
                $expected->place,
                $expected->since,
                $now,
                Observability::forSource($sources[$expected->place ?? ''] ?? $sources['']),
            );
            $whereabouts[$student->id] =
                $student->absent && Place::Lost === $where->place ? Whereabouts::excused() : $where;
        }

        return $whereabouts;
    }
}
