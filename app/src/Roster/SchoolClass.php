<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Roster\Door\DoorMode;

/**
 * The people taught together, and how students come in.
 */
#[ORM\Entity]
class SchoolClass
{
    /** Where students who come with the door word are taken to. */
    #[ORM\Column(type: 'guid', nullable: true)]
    public ?string $currentLessonId = null;

    /** Archived classes are out of the way; nothing of them is lost. */
    #[ORM\Column(type: 'datetimetz_immutable', nullable: true)]
    public ?\DateTimeImmutable $archivedAt = null;

    /** Thrown away, and kept for whoever thinks again. */
    #[ORM\Column(type: 'datetimetz_immutable', nullable: true)]
    public ?\DateTimeImmutable $removedAt = null;

    /** @var list<string> what groups of this class are called, in this order */
    #[ORM\Column(type: 'json', options: ['jsonb' => true, 'default' => '[]'])]
    public array $groupNames = [];

    /** Names stand at the door to be pressed, while a lesson is on; otherwise they are typed. */
    #[ORM\Column(options: ['default' => false])]
    public bool $namesAtDoor = false;

    #[ORM\Column(length: 10, options: ['default' => 'open'])]
    public DoorMode $door = DoorMode::Open;

    /** These students have to be told what to do so that they can hear it. */
    #[ORM\Column(options: ['default' => false])]
    public bool $cannotReadYet = false;

    /** In which language its teacher's texts are read out: a code as “cy-GB” (BCP 47). */
    #[ORM\Column(length: 35, options: ['default' => 'en-GB'])]
    public string $language = 'en-GB';

    /** A student may use two devices at once: one for the room, one for the work. */
    #[ORM\Column(options: ['default' => false])]
    public bool $twoDevices = false;

    /** Until when nobody who is not on the list can wait at the door. */
    #[ORM\Column(type: 'datetimetz_immutable', nullable: true)]
    public ?\DateTimeImmutable $strangersOutUntil = null;

    /** The day on which everything of it goes; null: no end is set. */
    #[ORM\Column(type: 'date_immutable', nullable: true)]
    public ?\DateTimeImmutable $endsOn = null;

    /** When its staff were told of it; milliseconds since 1970. */
    #[ORM\Column(type: 'bigint', nullable: true)]
    public ?int $endAnnouncedAt = null;

    /** The double of a class, for practice: nobody real comes in, and it stands in no list. */
    #[ORM\Column(options: ['default' => false])]
    public bool $isPractice = false;

    /** New lessons have no worksheets, and none are missed. */
    #[ORM\Column(options: ['default' => false])]
    public bool $talkOnly = false;

    public function __construct(
        #[ORM\Id, ORM\Column(type: 'guid')]
        public readonly string $id,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        public readonly Teacher $teacher,
        #[ORM\Column(length: 80)]
        public string $name,
        #[ORM\Column(length: 20, unique: true)]
        public string $doorWord,
        #[ORM\Column(type: 'datetimetz_immutable')]
        public readonly \DateTimeImmutable $createdAt,
    ) {
    }

    public function strangersOut(\DateTimeImmutable $now): bool
    {
        return null !== $this->strangersOutUntil && $now < $this->strangersOutUntil;
    }
}
