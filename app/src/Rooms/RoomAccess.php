<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Roster\Exception\RosterRefused;
use FreshHuddle\App\Roster\Staff\Staff;

/**
 * What of this area is in a teacher's classes, and whether they may do there what they are about to.
 */
final readonly class RoomAccess
{
    public function __construct(private EntityManagerInterface $em, private Staff $staff)
    {
    }

    /**
     * @throws RosterRefused if it is not in a class of theirs, or if they only assist there
     */
    public function room(Teacher $teacher, string $id): Room
    {
        $found = $this->staff->find(
            Room::class,
            $this->em->createQueryBuilder()->select('r', 'c')->from(Room::class, 'r')->join('r.class', 'c'),
            'r',
            $teacher,
            $id,
        );
        $this->staff->may($teacher, $found->class);

        return $found;
    }
}
