<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson\Run;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Grouping\Grouping;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Lesson\Order\Segment;
use FreshHuddle\App\Lesson\Round\Round;

/**
 * One time a round was really sent out, with its groups and seats as they were then. Sending it out again is another
 * run. Written by RunStore.
 */
#[ORM\Entity]
#[ORM\UniqueConstraint(name: 'run_attempt', columns: ['round_id', 'attempt'])]
#[ORM\UniqueConstraint(name: 'run_open', columns: ['lesson_id'], options: ['where' => '(ended_at IS NULL)'])]
class Run
{
    /** Milliseconds since 1970; null while it goes on. */
    #[ORM\Column(type: 'bigint', nullable: true)]
    public ?int $endedAt = null;

    /** It was taken back while students were still looking: nobody has sat in these groups. */
    #[ORM\Column(options: ['default' => false])]
    public bool $takenBack = false;

    /** The lesson the class was in before; taking the run back returns it there. */
    #[ORM\ManyToOne, ORM\JoinColumn(nullable: true, onDelete: 'SET NULL')]
    public ?Lesson $cameFromLesson = null;

    /** The segment this lesson was in before; null: it had not begun. */
    #[ORM\ManyToOne, ORM\JoinColumn(nullable: true, onDelete: 'SET NULL')]
    public ?Segment $cameFromSegment = null;

    /** Since when it had been in that segment; milliseconds since 1970. */
    #[ORM\Column(type: 'bigint', nullable: true)]
    public ?int $cameFromSince = null;

    public function __construct(
        #[ORM\Id, ORM\Column(type: 'guid')]
        public readonly string $id,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Lesson $lesson,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Round $round,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        public readonly Grouping $grouping,
        /** From 1. */
        #[ORM\Column]
        public readonly int $attempt,
        /** When groups were to be at work; milliseconds since 1970. */
        #[ORM\Column(type: 'bigint')]
        public readonly int $outAt,
    ) {
    }
}
