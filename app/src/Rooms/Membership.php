<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Rooms\Meeting\MeetingServiceFailed;
use FreshHuddle\App\Rooms\Meeting\RoomService;
use FreshHuddle\App\Roster\Staff;
use FreshHuddle\App\Roster\Student;
use FreshHuddle\Core\Grouping\Exception\NotOnTheFloor;

/**
 * A room at the meeting service, and who may enter it: those who sit at its table, and everybody who teaches or assists.
 */
final readonly class Membership
{
    public function __construct(private EntityManagerInterface $em, private RoomStore $store, private FloorStore $floors, private RoomService $service, private Staff $staff)
    {
    }

    /**
     * Makes the room if it is not made yet, and says who may enter. Safe to do twice.
     *
     * @return array<string, string> student's id => their link
     *
     * @throws MeetingServiceFailed
     * @throws NotOnTheFloor        if its table has been taken away
     */
    public function bring(Room $room): array
    {
        $students = $this->students($room);
        $staff = $this->staff($room);
        if (null === $room->externalId) {
            $room->externalId = $this->service->make($room->id, $room->name);
            $this->store->madeAs($room->id, $room->externalId);
        }
        $links = $this->service->setMembers($room->externalId, $students + $staff);
        $own = array_intersect_key($links, $students);
        $this->store->members($room->id, $own, array_intersect_key($links, $staff));

        return $own;
    }

    /**
     * @return array<string, string> id => name
     */
    private function staff(Room $room): array
    {
        $staff = [$room->class->teacher->id => $room->class->teacher->name];
        foreach ($this->staff->of($room->class) as $one) {
            $staff[$one->teacher->id] = $one->teacher->name;
        }

        return $staff;
    }

    /**
     * @return array<string, string> id => name
     *
     * @throws NotOnTheFloor
     */
    private function students(Room $room): array
    {
        $students = [];
        foreach ($this->em->getRepository(Student::class)->findBy(['class' => $room->class, 'removedAt' => null]) as $student) {
            $students[$student->id] = $student->name;
        }
        if (null === $room->group || null === $room->grouping) {
            return $students;
        }
        $seated = $this->floors->now($room->grouping->id)->group($room->group->id)->students;

        return array_intersect_key($students, array_flip($seated));
    }
}
