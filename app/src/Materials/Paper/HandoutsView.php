<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Paper;

/**
 * A round on paper: its groups with their work, and a slip for everybody who is here.
 */
final readonly class HandoutsView
{
    /**
     * @param int|null           $startsAt milliseconds since 1970
     * @param list<WorkLine>     $work     what every group gets alike
     * @param list<HandoutGroup> $groups
     * @param list<Handout>      $slips    by group and seat, so that a group's lie together; who has no seat comes last
     * @param bool               $bitByBit there are so many slips that the worker makes their file
     */
    public function __construct(
        public string $lessonId,
        public string $title,
        public string $classId,
        public string $className,
        public ?int $startsAt,
        public string $doorWord,
        public array $work,
        public array $groups,
        public array $slips,
        public bool $bitByBit = false,
    ) {
    }

    /**
     * The same with some of its slips.
     */
    public function only(int $from, int $most): self
    {
        return new self(
            $this->lessonId,
            $this->title,
            $this->classId,
            $this->className,
            $this->startsAt,
            $this->doorWord,
            $this->work,
            $this->groups,
            \array_slice($this->slips, $from, $most),
        );
    }
}
