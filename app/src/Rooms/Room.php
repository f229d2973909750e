<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Roster\SchoolClass;
use FreshHuddle\Core\Live\Evidence;
use FreshHuddle\Core\Rooms\RoomState;

/**
 * A place to talk: a group's room, or the main session of a class (then it has no group).
 */
#[ORM\Entity]
class Room
{
    #[ORM\Column(length: 10)]
    public RoomState $state = RoomState::Planned;

    /** What the meeting service calls it. */
    #[ORM\Column(length: 80, nullable: true)]
    public ?string $externalId = null;

    /** Why it could not be made, for the teacher. */
    #[ORM\Column(length: 200, nullable: true)]
    public ?string $failure = null;

    public function __construct(
        #[ORM\Id, ORM\Column(type: 'guid')]
        public readonly string $id,
        #[ORM\ManyToOne, ORM\JoinColumn(name: 'class_id', nullable: false)]
        public readonly SchoolClass $class,
        #[ORM\Column(type: 'guid', nullable: true)]
        public readonly ?string $groupingId,
        #[ORM\Column(type: 'guid', nullable: true)]
        public readonly ?string $groupId,
        #[ORM\Column(length: 120)]
        public string $name,
    ) {
    }

    /**
     * How whereabouts call this place: `main` or the group's id.
     */
    public function place(): string
    {
        return $this->groupId ?? Evidence::MAIN;
    }
}
