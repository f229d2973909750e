<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Roster\SchoolClass;
use FreshHuddle\Core\Rooms\MainSession;
use FreshHuddle\Core\Rooms\RoomPurpose;

/**
 * Finds the room of a place in a class.
 */
final readonly class RoomFinder
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    /**
     * As it is in the database now: others may have made or changed it since.
     *
     * @param string $place `main`, or the id of a group or a side room
     */
    public function atPlace(SchoolClass $class, string $place): ?Room
    {
        $rooms = $this->em->getRepository(Room::class);
        $room =
            MainSession::PLACE === $place
                ? $rooms->findOneBy(['class' => $class, 'purpose' => RoomPurpose::Main])
                : $rooms->findOneBy(['class' => $class, 'group' => $place])
                    ?? $rooms->findOneBy(['class' => $class, 'id' => $place, 'purpose' => RoomPurpose::Side]);
        if (null !== $room) {
            $this->em->refresh($room);
        }

        return $room;
    }
}
