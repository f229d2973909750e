<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson\Order;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\Core\Lesson\Segment as PlannedSegment;
use FreshHuddle\Core\Lesson\SegmentKind;

/**
 * A stretch of a lesson. One that was taken out of the running order stays, so that undo brings it back with all it
 * had.
 */
#[ORM\Entity]
#[ORM\UniqueConstraint(name: 'segment_position', columns: ['lesson_id', 'position'])]
class Segment
{
    #[ORM\Column(type: 'text')]
    public string $instructions = '';

    /**
     * When what everybody does alone in it can only be read; null: as long as the lesson's other work. Milliseconds
     * since 1970.
     */
    #[ORM\Column(type: 'bigint', nullable: true)]
    public ?int $closesAt = null;

    #[ORM\OneToOne(mappedBy: 'segment', cascade: ['persist'])]
    public ?Round $round = null;

    public function __construct(
        #[ORM\Id, ORM\Column(type: 'guid')]
        public readonly string $id,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Lesson $lesson,
        /** From 0; null while it is not in the running order. */
        #[ORM\Column(nullable: true)]
        public ?int $position,
        #[ORM\Column(length: 12, enumType: SegmentKind::class)]
        public readonly SegmentKind $kind,
        #[ORM\Column]
        public int $minutes,
    ) {
    }

    public function planned(): PlannedSegment
    {
        return new PlannedSegment($this->id, $this->kind, $this->minutes);
    }
}
