<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Source;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Roster\SchoolClass;
use FreshHuddle\Core\Rooms\RoomLife;
use FreshHuddle\Core\Rooms\RoomPermissions;
use FreshHuddle\Core\Rooms\SourceKind;

/**
 * Where the rooms of a class come from, and how new ones begin: each class has one from its first moment. Written by
 * RoomSources.
 */
#[ORM\Entity]
class RoomSource
{
    public const NAMES = '{class} · {n} {group}';

    /** Of the names of groups' rooms. */
    #[ORM\Column(length: 120)]
    public string $namePattern = self::NAMES;

    /** Where addresses follow a pattern. */
    #[ORM\Column(length: 400, options: ['default' => ''])]
    public string $addressPattern = '';

    /** The role of whoever has to open a room before the others come; '' where nobody has to. */
    #[ORM\Column(length: 60, options: ['default' => ''])]
    public string $openedBy = '';

    #[ORM\Column(length: 10, options: ['default' => 'grouping'])]
    public RoomLife $life = RoomLife::Grouping;

    #[ORM\Column(options: ['default' => false])]
    public bool $mayRecord = false;

    #[ORM\Column(options: ['default' => true])]
    public bool $mayShareScreen = true;

    #[ORM\Column(options: ['default' => true])]
    public bool $mayWrite = true;

    /** Students' pages go into rooms of our own by themselves, with the microphone off. */
    #[ORM\Column(options: ['default' => false])]
    public bool $takesIn = false;

    /** Rooms of our own may be recorded, and recordings are kept so many days; 0: they are not recorded. */
    #[ORM\Column(options: ['default' => 0])]
    public int $recordingDays = 0;

    public function __construct(
        #[ORM\Id,
            ORM\OneToOne,
            ORM\JoinColumn(name: 'class_id', nullable: false, onDelete: 'CASCADE'),]
        public readonly SchoolClass $class,
        #[ORM\Column(length: 20)]
        public SourceKind $kind,

        /** Somebody has said so; otherwise it is as the class began. */
        #[ORM\Column(options: ['default' => true])]
        public bool $isChosen = false,
    ) {
    }

    public function allowed(): RoomPermissions
    {
        return new RoomPermissions($this->mayRecord, $this->mayShareScreen, $this->mayWrite);
    }
}
