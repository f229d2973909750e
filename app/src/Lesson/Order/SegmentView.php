<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson\Order;

use FreshHuddle\App\Lesson\Round\RoundView;
use FreshHuddle\Core\Lesson\SegmentKind;

/**
 * A part of the lesson, as the strip of parts shows it.
 */
final readonly class SegmentView
{
    /**
     * @param int|null       $closesAt when what everybody does alone in it can only be read; null: that isn't said;
     *                                 milliseconds since 1970
     * @param RoundView|null $round    null for what is not done in groups
     */
    public function __construct(
        public string $id,
        public SegmentKind $kind,
        public int $minutes,
        public string $instructions,
        public ?int $closesAt,
        public ?RoundView $round,
    ) {
    }

    public static function fromSegment(Segment $segment): self
    {
        return new self(
            $segment->id,
            $segment->kind,
            $segment->minutes,
            $segment->instructions,
            $segment->closesAt,
            null === $segment->round ? null : RoundView::fromRound($segment->round),
        );
    }
}
