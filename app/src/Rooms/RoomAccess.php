<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Account\Owned;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Http\Problem;

/**
 * What of this area belongs to a teacher.
 */
final readonly class RoomAccess
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    /**
     * @throws Problem 404
     */
    public function room(Teacher $teacher, string $id): Room
    {
        return Owned::one(Room::class, $this->em->createQueryBuilder()->select('r', 'c')->from(Room::class, 'r')->join('r.class', 'c'), 'r', $teacher, $id);
    }
}
