<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Admission;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Lesson\NowReader;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Live\Moving\MoveStore;
use FreshHuddle\App\Roster\Student;
use FreshHuddle\App\Stream\Audience;
use FreshHuddle\Core\Rooms\MainSession;

/**
 * Where the students of a class belong just now.
 */
final readonly class ExpectedPlaces
{
    public function __construct(
        private EntityManagerInterface $em,
        private NowReader $lessons,
        private FloorStore $floors,
        private MoveStore $moves,
        private Clock $clock,
    ) {
    }

    /**
     * @param string $place `main`, or the id of a group or a side room
     *
     * @return list<Audience> the students who belong there; for the main session all, wherever they are
     */
    public function audience(Lesson $lesson, string $place): array
    {
        return MainSession::PLACE === $place
            ? [Audience::everybody($lesson->id)]
            : array_map(Audience::student(...), array_keys($this->ofClass($lesson->class->id), $place, true));
    }

    /**
     * @return array<string, string|null> where each student belongs now; null: in no room
     */
    public function ofClass(string $classId): array
    {
        $lesson = $this->lessons->ofClass($classId);
        if (null === $lesson?->kind || null !== $lesson->endedAt) {
            return [];
        }
        $students = $this->em
            ->createQuery('SELECT s.id FROM '.Student::class.' s WHERE s.class = ?1 AND s.removedAt IS NULL')
            ->setParameter(1, $classId)
            ->getSingleColumnResult();
        $students = array_filter($students, \is_string(...));
        $now = $this->clock->ms();
        $round = $lesson->phase($now)->isOut() ? $this->em->find(Round::class, $lesson->roundId ?? '') : null;
        if (null === $round) {
            return array_fill_keys($students, MainSession::PLACE);
        }
        $this->em->refresh($round);
        $moves = $this->moves->forRound($round->id);
        $floor = $this->floors->now($round->grouping->id);
        $state = $round->state()->state();
        $expected = [];
        foreach ($students as $student) {
            $expected[$student] = $moves->expected($student, $floor->groupOf($student)?->id, $state, $now)->place;
        }

        return $expected;
    }
}
