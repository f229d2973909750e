<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Admission;

use FreshHuddle\App\Rooms\Meeting\MeetingServiceFailed;
use FreshHuddle\App\Rooms\Meeting\RoomServices;
use FreshHuddle\App\Rooms\Own\RoomAdmission;
use FreshHuddle\App\Rooms\RoomReader;
use FreshHuddle\App\Roster\Student;

/**
 * Removes students from rooms of our own where they do not belong now: their seat has moved, the round or the lesson
 * is over, they are no longer on the class list. Whoever belongs elsewhere follows by themselves.
 */
final readonly class RoomGuard
{
    public function __construct(
        private ExpectedPlaces $expected,
        private RoomReader $rooms,
        private RoomServices $services,
        private RoomAdmission $admission,
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
        $expected = $this->expected->ofClass($classId);
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
}
