<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Member;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Rooms\Exception\NoLinkYet;
use FreshHuddle\App\Rooms\Meeting\MeetingServiceFailed;
use FreshHuddle\App\Rooms\Room;
use FreshHuddle\App\Rooms\RoomStore;
use FreshHuddle\App\Rooms\Source\Sources;
use FreshHuddle\App\Roster\Staff\Staff;
use FreshHuddle\App\Roster\Student;
use FreshHuddle\Core\Grouping\Exception\NotOnTheFloor;
use FreshHuddle\Core\Rooms\MainSession;
use FreshHuddle\Core\Rooms\RoomPurpose;

/**
 * A room where it comes from, and who may enter it: those who sit at its table, or the whole class; and everybody who
 * teaches or assists.
 */
final readonly class Membership
{
    public function __construct(
        private EntityManagerInterface $em,
        private RoomStore $store,
        private FloorStore $floors,
        private Sources $sources,
        private Staff $staff,
        private Guests $guests,
    ) {
    }

    /**
     * Brings the room about if it is not there yet, and says who may enter. Safe to do twice.
     *
     * @param bool $keep whoever may enter now may go on doing so: nobody is put out before they have been moved
     *
     * @return array<string, string> student's id => their way in
     *
     * @throws MeetingServiceFailed
     * @throws NoLinkYet            if somebody has to say first where it is
     * @throws NotOnTheFloor        if its table has been taken away
     */
    public function reconcile(Room $room, bool $keep = false): array
    {
        $students = $this->students($room);
        foreach ($keep ? $this->em->getRepository(RoomMember::class)->findBy(['room' => $room]) : [] as $member) {
            if (null === $member->student->removedAt) {
                $students += [$member->student->id => $member->student->name];
            }
        }
        $staff = $this->staff->names($room->class);
        $ways = $this->sources
            ->get($room->source)
            ->provision($room, $students + $staff, $this->named($room), $this->store);
        $own = array_intersect_key($ways, $students);
        $this->store->members($room->id, $own, array_intersect_key($ways, $staff));

        return $own;
    }

    /**
     * What names and addresses are made of.
     *
     * @return array<string, string|int> a value a placeholder
     *
     * @throws NotOnTheFloor if its table has been taken away
     */
    public function named(Room $room): array
    {
        $named = ['class' => $room->class->name, 'teacher' => $room->class->teacher->name, 'lesson' => ''];
        if (null === $room->group || null === $room->grouping) {
            return $named + [
                'group' => match ($room->purpose) {
                    RoomPurpose::Main => MainSession::PLACE,
                    default => $room->name,
                },
                'n' => 0,
            ];
        }
        foreach ($this->floors->now($room->grouping->id)->groups as $i => $group) {
            if ($group->id === $room->group->id) {
                return $named + ['group' => $group->name, 'n' => $i + 1];
            }
        }
        throw NotOnTheFloor::group($room->group->id);
    }

    /**
     * Nobody of the class goes into a side room by themselves: whom the teacher took there is let in.
     *
     * @return array<string, string> id => name
     *
     * @throws NotOnTheFloor
     */
    private function students(Room $room): array
    {
        $students = [];
        foreach (
            $this->em->getRepository(Student::class)->findBy(['class' => $room->class, 'removedAt' => null]) as $student
        ) {
            $students[$student->id] = $student->name;
        }
        if (RoomPurpose::Side === $room->purpose) {
            return array_intersect_key($students, array_flip($this->guests->in($room->id)));
        }
        if (null === $room->group || null === $room->grouping) {
            return $students;
        }
        $seated = $this->floors->now($room->grouping->id)->group($room->group->id)->students;

        return array_intersect_key($students, array_flip($seated));
    }
}
