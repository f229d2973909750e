<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping;

/**
 * A group of the floor. Its seats are numbered from 1 in the order of `students`.
 */
final readonly class Group
{
    /**
     * @param string       $id stays the same when the group is dealt again, so that its room and its copy stay its own
     * @param list<string> $students ids, seat 1 first
     * @param int          $mark     which colour and sign are the group's, from 0; no two groups of a floor share one
     */
    public function __construct(
        public string $id,
        public string $name,
        public array $students = [],
        public int $mark = 0,
    ) {
    }

    public function holds(string $student): bool
    {
        return \in_array($student, $this->students, true);
    }

    /**
     * @param list<string> $students
     */
    public function seating(array $students): self
    {
        return new self($this->id, $this->name, $students, $this->mark);
    }

    public function named(string $name): self
    {
        return new self($this->id, $name, $this->students, $this->mark);
    }
}
