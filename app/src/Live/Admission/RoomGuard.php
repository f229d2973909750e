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
 * Puts out of rooms of our own whoever does not belong there now: their seat has moved, the round or the lesson is
 * over, they are no longer on the class list. Those who belong elsewhere follow by themselves.
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
     * Safe to do twice. One question to the media server for each room, and two for each student who is put out.
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
        $rooms = array_flip($places);
        $wrong = [];
        foreach ($this->services->whoIsThere(array_values($rooms)) as $student => $seen) {
            $place = $expected[$student] ?? '';
            if (($places[$seen['room']] ?? null) !== $place) {
                $wrong[$student] = $rooms[$place] ?? '';
            }
        }
        $this->services->move($wrong, array_values($rooms));
        $voice = $this->admission->voice($classId);
        $strangers = array_diff_key($this->services->whoIsThere([$voice]), $expected);
        $this->services->move(array_fill_keys(array_keys($strangers), ''), [$voice]);
    }

    /**
     * Whether anybody has been in a room of our own of this class.
     */
    public function hasRooms(string $classId): bool
    {
        return [] !== $this->places($classId);
    }

    /**
     * A student is out of every room of our own, and nothing they were given lets them in again.
     *
     * @throws MeetingServiceFailed
     */
    public function putOut(Student $student): void
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
