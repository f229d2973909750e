<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Ready\SetUp;

/**
 * A copy as it is.
 */
final readonly class CopyThere
{
    /**
     * @param string|null $group   whose it is: a group's, a student's, or (neither) the class's
     * @param int         $answers in how many slots somebody has written
     * @param bool        $waits   it belongs to somebody who has no seat just now
     */
    public function __construct(
        public string $id,
        public string $original,
        public string $title,
        public string $name,
        public ?string $group,
        public ?string $student,
        public string $variant,
        public int $version,
        public int $answers = 0,
        public bool $waits = false,
    ) {
    }

    public function key(): string
    {
        return "{$this->original}|{$this->group}|{$this->student}";
    }
}
