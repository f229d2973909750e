<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Admission;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Lesson\NowReader;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Live\Moving\MoveStore;
use FreshHuddle\App\Rooms\Meeting\MeetingServiceFailed;
use FreshHuddle\App\Rooms\Meeting\RoomServices;
use FreshHuddle\App\Rooms\Own\RoomAdmission;
use FreshHuddle\App\Rooms\RoomReader;
use FreshHuddle\App\Roster\Student;
use FreshHuddle\Core\Rooms\MainSession;

/**
 * Removes students from rooms of our own where they do not belong now: their seat has moved, the round or the lesson
 * is over, they are no longer on the class list. Whoever belongs elsewhere follows by themselves.
 */
final readonly class RoomGuard
{
    public function __construct(
        private EntityManagerInterface $em,
        private NowReader $lessons,
        private FloorStore $floors,
        private MoveStore $moves,
        private RoomReader $rooms,
        private RoomServices $services,
        private RoomAdmission $admission,
        private Clock $clock,
    ) {
    }

    /**
     * Safe to do twice. Two questions to the media server for each room, and one for each student who is removed.
     *
     * @throws MeetingServiceFailed
     */
    public function check(string $classId): void
    {
        $places = $this->places($classId);
        if ([] === $places) {
            return;
        }
        $expected = $this->expected($classId);
        foreach ($places as $room => $place) {
            $members = array_keys($expected, $place, true);
            $this->services->serviceFor($room)->setMembers($room, array_fill_keys($members, ''));
        }
        $voice = $this->admission->voice($classId);
        $this->services->serviceFor($voice)->setMembers($voice, array_map(static fn (): string => '', $expected));
    }

    /**
     * Whether anybody has been in a room of our own of this class.
     */
    public function hasRooms(string $classId): bool
    {
        return [] !== $this->places($classId);
    }

    /**
     * Removes a student from every room of our own, with whatever would let them in again.
     *
     * @throws MeetingServiceFailed
     */
    public function removeStudent(Student $student): void
    {
        $class = $student->class->id;
        $names = array_map(strval(...), array_keys($this->places($class)));
        $this->services->move([$student->id => ''], [...$names, $this->admission->voice($class)]);
    }

    /**
     * @return array<string, string> rooms of our own, what the media server calls each => its place
     */
    private function places(string $classId): array
    {
        return array_filter(
            $this->rooms->made($classId),
            fn (string $room): bool => false === $this->services->find($room)?->capabilities()->keepsMembers,
            \ARRAY_FILTER_USE_KEY,
        );
    }

    /**
     * @return array<string, string|null> where each student belongs now; null: in no room
     */
    private function expected(string $classId): array
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
