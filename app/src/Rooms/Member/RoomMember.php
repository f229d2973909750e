<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Member;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Rooms\Room;
use FreshHuddle\App\Rooms\RoomStore;
use FreshHuddle\App\Roster\Student;

/**
 * Who may enter a room, with the personal link the meeting service gave. Written by RoomStore.
 */
#[ORM\Entity]
class RoomMember
{
    public function __construct(
        #[ORM\Id, ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Room $room,
        #[ORM\Id,
            ORM\ManyToOne,
            ORM\JoinColumn(nullable: false, onDelete: 'CASCADE'),]
        public readonly Student $student,
        #[ORM\Column(length: 1000)]
        public readonly string $link,
    ) {
    }
}
