<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Member;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Rooms\Meeting\MeetingServiceFailed;
use FreshHuddle\App\Rooms\Meeting\RoomServices;
use FreshHuddle\App\Rooms\Room;
use FreshHuddle\App\Roster\SchoolClass;
use FreshHuddle\App\Roster\Student;

/**
 * Who is in a room just now, as far as it can be told.
 */
final readonly class Occupants
{
    public function __construct(private EntityManagerInterface $em, private RoomServices $services)
    {
    }

    /**
     * @return list<string> names of students; none where nobody can tell
     */
    public function inRoom(Room $room): array
    {
        return null === $room->externalId ? [] : $this->withExternalId($room->class, $room->externalId);
    }

    /**
     * @return list<string> names of students of a class who are in what the meeting service calls so
     */
    public function withExternalId(SchoolClass $class, string $externalId): array
    {
        try {
            $people = array_keys($this->services->whoIsThere([$externalId]));
        } catch (MeetingServiceFailed) {
            return [];
        }
        $students = $this->em
            ->getRepository(Student::class)
            ->findBy(['id' => $people, 'class' => $class], ['position' => 'ASC']);

        return array_map(static fn (Student $student): string => $student->name, array_values($students));
    }
}
