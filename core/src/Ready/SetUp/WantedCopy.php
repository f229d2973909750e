<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Ready\SetUp;

/**
 * A copy there should be.
 */
final readonly class WantedCopy
{
    /**
     * @param string      $title   of the original
     * @param string|null $table   the group it is for, also where it belongs to one of its students; null: all
     * @param string|null $group   whose it is: a group's, a student's, or (neither) the class's
     * @param bool        $earlier it begins with what was written last time
     */
    public function __construct(
        public string $original,
        public string $title,
        public ?string $table,
        public ?string $group,
        public ?string $student,
        public string $variant,
        public int $version,
        public bool $earlier = false,
    ) {
    }

    /**
     * @return string the same for the copy that is there in its place
     */
    public function key(): string
    {
        return "{$this->original}|{$this->group}|{$this->student}";
    }
}
