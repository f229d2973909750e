<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Rule;

use FreshHuddle\Core\Grouping\Rule;
use FreshHuddle\Core\Grouping\Search\MustsBuilder;

/**
 * This student not in this group.
 */
final readonly class NotIn implements Rule
{
    /**
     * @param int $group from 1
     */
    public function __construct(public string $student, public int $group)
    {
    }

    public function students(): array
    {
        return [$this->student];
    }

    public function among(array $here): ?self
    {
        return isset($here[$this->student]) ? $this : null;
    }

    public function applyTo(MustsBuilder $musts): void
    {
        $musts->notIn($this->student, $this->group - 1);
    }

    public function inWords(callable $name): string
    {
        return \sprintf('%s not in group %d', $name($this->student), $this->group);
    }
}
