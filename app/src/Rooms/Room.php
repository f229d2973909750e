<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Grouping\Floor\WorkGroup;
use FreshHuddle\App\Grouping\Grouping;
use FreshHuddle\App\Roster\SchoolClass;
use FreshHuddle\Core\Rooms\MainSession;
use FreshHuddle\Core\Rooms\RoomLife;
use FreshHuddle\Core\Rooms\RoomPermissionChanges;
use FreshHuddle\Core\Rooms\RoomPurpose;
use FreshHuddle\Core\Rooms\RoomState;
use FreshHuddle\Core\Rooms\SourceKind;

/**
 * A place to talk: a group's room, the main session of a class, or a side room. Written by RoomStore.
 */
#[ORM\Entity]
#[ORM\UniqueConstraint(name: 'room_group', columns: ['group_id'], options: ['where' => '(group_id IS NOT NULL)'])]
#[ORM\UniqueConstraint(
    name: 'room_main',
    columns: ['class_id'],
    options: ['where' => "((purpose)::text = 'main'::text)"],
),]
#[ORM\UniqueConstraint(name: 'room_external', columns: ['external_id'])]
#[ORM\UniqueConstraint(name: 'room_link', columns: ['link_owner_id', 'normal_link', 'link_scope'])]
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

    #[ORM\Column(length: 20)]
    public SourceKind $source;

    /** The one address everybody goes in by; null where each has a link of their own, and where there is none. */
    #[ORM\Column(length: 1000, nullable: true)]
    public ?string $link = null;

    /** What the link is compared by. */
    #[ORM\Column(length: 1000, nullable: true)]
    public ?string $normalLink = null;

    /** Among whose links it must be the only one. */
    #[ORM\ManyToOne, ORM\JoinColumn(nullable: true)]
    public ?Teacher $linkOwner = null;

    /** Within which it must be the only one, too: groups of another grouping may meet by the same links. */
    #[ORM\Column(type: 'guid', nullable: true)]
    public ?string $linkScope = null;

    #[ORM\Column(length: 10)]
    public RoomLife $life = RoomLife::Grouping;

    /** What this room allows, where it is not as the class's rooms are: null follows the class. */
    #[ORM\Column(nullable: true)]
    public ?bool $mayRecord = null;

    #[ORM\Column(nullable: true)]
    public ?bool $mayShareScreen = null;

    #[ORM\Column(nullable: true)]
    public ?bool $mayWrite = null;

    /** When the teacher last went in and said that was it. Milliseconds since 1970. */
    #[ORM\Column(type: 'bigint', nullable: true)]
    public ?int $triedAt = null;

    /** When whoever has to open it said it was open. Milliseconds since 1970. */
    #[ORM\Column(type: 'bigint', nullable: true)]
    public ?int $openedAt = null;

    /** Somebody gave it its name: a pattern does not take it back. */
    #[ORM\Column(options: ['default' => false])]
    public bool $namedByHand = false;

    /** When the meeting service no longer knew it. Milliseconds since 1970; null: it is where it was made. */
    #[ORM\Column(type: 'bigint', nullable: true)]
    public ?int $missedAt = null;

    public function __construct(
        #[ORM\Id, ORM\Column(type: 'guid')]
        public readonly string $id,
        #[ORM\ManyToOne, ORM\JoinColumn(name: 'class_id', nullable: false)]
        public readonly SchoolClass $class,
        #[ORM\Column(length: 10)]
        public readonly RoomPurpose $purpose,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: true)]
        public readonly ?Grouping $grouping,
        #[ORM\ManyToOne, ORM\JoinColumn(name: 'group_id', nullable: true)]
        public readonly ?WorkGroup $group,
        #[ORM\Column(length: 120)]
        public string $name,
    ) {
    }

    /**
     * How whereabouts call this place: `main`, or the id of the group or the side room.
     */
    public function place(): string
    {
        return match ($this->purpose) {
            RoomPurpose::Main => MainSession::PLACE,
            RoomPurpose::Group => $this->group->id ?? $this->id,
            RoomPurpose::Side => $this->id,
        };
    }

    public function allowedHere(): RoomPermissionChanges
    {
        return new RoomPermissionChanges($this->mayRecord, $this->mayShareScreen, $this->mayWrite);
    }
}
