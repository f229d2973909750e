<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Ready;

/**
 * A group, as far as the ready check needs it.
 */
final readonly class PlannedGroup
{
    /**
     * @param list<string>             $students ids of those who sit here
     * @param array<array-key, string> $roles    role by student, of those who have one
     */
    public function __construct(
        public string $id,
        public string $name,
        public array $students,
        public array $roles = [],
    ) {
    }
}
