<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Record\Term;

/**
 * What a term says of one student; lists have one entry for each lesson, in their order.
 */
final readonly class TermStudent
{
    /**
     * @param list<bool|null>    $there     null: they were not expected, and were not there
     * @param list<int>          $called    how often they were called on and did not pass
     * @param list<int>          $visitedMs how long somebody of the staff was with the group they were in then
     * @param array<string, int> $roles     how often they had each role
     */
    public function __construct(
        public string $student,
        public array $there,
        public array $called,
        public array $visitedMs,
        public array $roles,
    ) {
    }

    public function lessons(): int
    {
        return \count(array_filter($this->there, static fn (?bool $there): bool => null !== $there));
    }

    public function missing(): int
    {
        return \count(array_filter($this->there, static fn (?bool $there): bool => false === $there));
    }
}
