<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Member;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Rooms\Room;
use FreshHuddle\App\Rooms\RoomStore;

/**
 * Who of the staff may enter a room, with the personal link the meeting service gave. Written by RoomStore.
 */
#[ORM\Entity]
class RoomHelper
{
    public function __construct(
        #[ORM\Id, ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Room $room,
        #[ORM\Id,
            ORM\ManyToOne,
            ORM\JoinColumn(nullable: false, onDelete: 'CASCADE'),]
        public readonly Teacher $teacher,
        #[ORM\Column(length: 1000)]
        public readonly string $link,
    ) {
    }
}
