<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Rule;

use FreshHuddle\Core\Grouping\Rule;
use FreshHuddle\Core\Grouping\Search\MustsBuilder;

/**
 * No two of these in one group.
 */
final readonly class Apart implements Rule
{
    /**
     * @param list<string> $students at least two ids, each once
     */
    public function __construct(public array $students)
    {
    }

    public function students(): array
    {
        return $this->students;
    }

    public function among(array $here): ?self
    {
        $left = array_values(array_filter($this->students, static fn (string $id): bool => isset($here[$id])));

        return \count($left) < 2 ? null : new self($left);
    }

    public function applyTo(MustsBuilder $musts): void
    {
        $musts->apart($this->students);
    }

    public function inWords(callable $name): string
    {
        return Names::list(array_map($name, $this->students)).' apart';
    }
}
