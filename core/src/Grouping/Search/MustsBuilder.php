<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Search;

/**
 * Gathers what rules demand, for Musts.
 */
final class MustsBuilder
{
    /** @var array<int, int> union-find: the parent of each student */
    private array $parent;

    /** @var list<list<int>> */
    public array $apart = [];

    /** @var list<array{int, int}> student, group */
    public array $seats = [];

    /** @var list<array{int, int}> student, group */
    public array $bans = [];

    /**
     * @param array<string, int> $index id => number
     */
    public function __construct(private readonly array $index)
    {
        $this->parent = array_keys(array_values($index));
    }

    /**
     * @param list<string> $students
     */
    public function apart(array $students): void
    {
        $this->apart[] = array_map(fn (string $id): int => $this->index[$id], $students);
    }

    /**
     * @param list<string> $students
     */
    public function together(array $students): void
    {
        $first = $this->root($this->index[$students[0]]);
        foreach ($students as $student) {
            $this->parent[$this->root($this->index[$student])] = $first;
        }
    }

    /**
     * @param int $group from 0
     */
    public function seat(string $student, int $group): void
    {
        $this->seats[] = [$this->index[$student], $group];
    }

    /**
     * @param int $group from 0
     */
    public function notIn(string $student, int $group): void
    {
        $this->bans[] = [$this->index[$student], $group];
    }

    public function root(int $student): int
    {
        while ($this->parent[$student] !== $student) {
            $student = $this->parent[$student] = $this->parent[$this->parent[$student]];
        }

        return $student;
    }
}
