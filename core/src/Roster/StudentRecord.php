<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Roster;

/**
 * What a class list says of a student. What is null is not said.
 */
final readonly class StudentRecord
{
    /**
     * @param array<string, int|float|string> $attributes
     * @param list<string>|null               $tags
     */
    public function __construct(
        public string $name,
        public ?string $schoolId = null,
        public ?string $table = null,
        public array $attributes = [],
        public ?array $tags = null,
        public ?string $email = null,
    ) {
    }
}
