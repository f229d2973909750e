<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Lesson\Order\Segment;
use FreshHuddle\App\Roster\SchoolClass;
use FreshHuddle\App\Stream\Channel;
use FreshHuddle\Core\Lesson\LessonTime;

/**
 * One live meeting of a class.
 */
#[ORM\Entity]
#[ORM\Index(name: 'lesson_starts', columns: ['class_id', 'starts_at'])]
class Lesson
{
    /** The number of the last event; the next has one more. Written by EventStore. */
    #[ORM\Column(options: ['default' => 0])]
    public int $eventSeq = 0;

    /** When staff last looked at it: while they do, it is on. */
    #[ORM\Column(type: 'datetimetz_immutable', nullable: true)]
    public ?\DateTimeImmutable $watchedAt = null;

    /** A teacher's own template: no date, no students; lessons are begun from it. */
    #[ORM\Column(options: ['default' => false])]
    public bool $template = false;

    /** The lesson it was begun from. */
    #[ORM\ManyToOne(targetEntity: self::class),
        ORM\JoinColumn(name: 'begun_from_id', nullable: true, onDelete: 'SET NULL'),]
    public ?self $begunFrom = null;

    /** How often the running order has been changed: a window that does not know of the last change is told. */
    #[ORM\Column(options: ['default' => 0])]
    public int $orderStep = 0;

    /** How often the address of its class page has been renewed. */
    #[ORM\Column(options: ['default' => 0])]
    public int $classPageNumber = 0;

    /** Where its class page listens (Channel). */
    #[ORM\Column(length: 32)]
    public string $classPageChannel;

    /** The segment it is in; null before it has begun. */
    #[ORM\ManyToOne, ORM\JoinColumn(name: 'segment_id', nullable: true, onDelete: 'SET NULL')]
    public ?Segment $segment = null;

    /** Since when it is in that segment; milliseconds since 1970. */
    #[ORM\Column(type: 'bigint', nullable: true)]
    public ?int $segmentSince = null;

    /** It is done without worksheets, and none are missed. */
    #[ORM\Column(options: ['default' => false])]
    public bool $talkOnly = false;

    /** When it is over, nothing is written in its worksheets any more. */
    #[ORM\Column(options: ['default' => false])]
    public bool $locksAtEnd = false;

    /** When it first went to a segment; milliseconds since 1970. */
    #[ORM\Column(type: 'bigint', nullable: true)]
    public ?int $begunAt = null;

    /** When it was over; milliseconds since 1970. */
    #[ORM\Column(type: 'bigint', nullable: true)]
    public ?int $endedAt = null;

    /** Thrown away, and kept for whoever thinks again. */
    #[ORM\Column(type: 'datetimetz_immutable', nullable: true)]
    public ?\DateTimeImmutable $removedAt = null;

    public function __construct(
        #[ORM\Id, ORM\Column(type: 'guid')]
        public readonly string $id,
        #[ORM\ManyToOne, ORM\JoinColumn(name: 'class_id', nullable: false)]
        public readonly SchoolClass $class,
        #[ORM\Column(length: 120)]
        public string $title,
        #[ORM\Column]
        public int $minutes,
        #[ORM\Column(type: 'datetimetz_immutable')]
        public \DateTimeImmutable $createdAt,
        /** Its date and time; null for a template. */
        #[ORM\Column(type: 'datetimetz_immutable', nullable: true)]
        public ?\DateTimeImmutable $startsAt,
    ) {
        $this->classPageChannel = Channel::fresh();
    }

    /**
     * When signs of its students count for it.
     */
    public function time(): LessonTime
    {
        return new LessonTime(
            null === $this->startsAt ? null : (int) $this->startsAt->format('Uv'),
            $this->minutes,
            $this->begunAt,
            $this->endedAt,
        );
    }
}
