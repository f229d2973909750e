<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Grouping\Floor\WorkGroup;
use FreshHuddle\App\Grouping\Grouping;
use FreshHuddle\App\Roster\SchoolClass;
use FreshHuddle\Core\Rooms\MainSession;
use FreshHuddle\Core\Rooms\RoomState;

/**
 * A place to talk: a group's room, or the main session of a class (then it has no group).
 */
#[ORM\Entity]
#[ORM\UniqueConstraint(name: 'room_group', columns: ['group_id'], options: ['where' => '(group_id IS NOT NULL)'])]
#[ORM\UniqueConstraint(name: 'room_main', columns: ['class_id'], options: ['where' => '(group_id IS NULL)'])]
#[ORM\UniqueConstraint(name: 'room_external', columns: ['external_id'])]
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
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: true)]
        public readonly ?Grouping $grouping,
        #[ORM\ManyToOne, ORM\JoinColumn(name: 'group_id', nullable: true)]
        public readonly ?WorkGroup $group,
        #[ORM\Column(length: 120)]
        public string $name,
    ) {
    }

    /**
     * How whereabouts call this place: `main` or the group's id.
     */
    public function place(): string
    {
        return $this->group->id ?? MainSession::PLACE;
    }
}
