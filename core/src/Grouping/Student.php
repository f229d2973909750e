<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping;

/**
 * A student as the grouping sees one: what can be known of them that matters for who sits with whom.
 */
final readonly class Student
{
    /**
     * @param string                          $id         not empty, no other student of the problem has it
     * @param string                          $name       '' where only the id is known
     * @param string|null                     $table      the table of the seating plan
     * @param array<string, int|float|string> $attributes by the attribute's name; one that is missing has no value
     * @param list<string>                    $tags
     */
    public function __construct(
        public string $id,
        public string $name = '',
        public ?string $table = null,
        public array $attributes = [],
        public array $tags = [],
    ) {
    }

    /**
     * What a teacher calls them.
     */
    public function label(): string
    {
        return '' === $this->name ? $this->id : $this->name;
    }
}
