<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record\Term;

use FreshHuddle\App\Record\Minutes;

/**
 * What a term says of one student; lists have one entry for each lesson.
 */
final readonly class TermStudentView
{
    /**
     * @param list<bool|null> $there     null: they were not expected
     * @param int             $missing   how often they were expected and not there
     * @param list<int>       $called    how often they were called on
     * @param list<int>       $visitedMs how long somebody of the staff was with their group
     * @param list<RoleTimes> $roles
     */
    public function __construct(
        public string $id,
        public string $name,
        public array $there,
        public int $missing,
        public array $called,
        public array $visitedMs,
        public array $roles,
    ) {
    }

    /**
     * @param list<string> $roles those of the class
     *
     * @return list<int|string> lessons they were in, and missed; calls, minutes visited, and how often each role
     */
    public function counts(array $roles): array
    {
        $times = array_column($this->roles, 'times', 'role');

        return [
            \count(array_keys($this->there, true, true)),
            $this->missing,
            array_sum($this->called),
            Minutes::text(array_sum($this->visitedMs)),
            ...array_map(static fn (string $role): int => $times[$role] ?? 0, $roles),
        ];
    }
}
