<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Desk;

use FreshHuddle\App\Roster\Column\AttributeValue;

/**
 * A student as the desk shows them.
 */
final readonly class DeskStudent
{
    /**
     * @param list<AttributeValue> $attributes
     * @param list<string>         $tags
     * @param int                  $met        how many at the same table they have sat with before
     */
    public function __construct(
        public string $id,
        public string $name,
        public bool $absent,
        public ?string $table,
        public array $attributes,
        public array $tags,
        public int $met,
    ) {
    }
}
