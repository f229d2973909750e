<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Lesson;

/**
 * A stretch of a lesson.
 */
final readonly class Segment
{
    /**
     * @param string $id      anything that tells it from the others of its lesson
     * @param int    $minutes 1 to 600
     */
    public function __construct(public string $id, public SegmentKind $kind, public int $minutes)
    {
    }

    public function lasting(int $minutes): self
    {
        return new self($this->id, $this->kind, $minutes);
    }
}
