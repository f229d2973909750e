<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live;

use FreshHuddle\App\Roster\AttributeValue;
use FreshHuddle\Core\Live\Because;
use FreshHuddle\Core\Live\Place;

/**
 * A student as the floor shows them.
 */
final readonly class SeatedStudent
{
    /**
     * @param list<AttributeValue> $attributes
     * @param list<string>         $tags
     * @param bool                 $claimed    a device has chosen this name
     * @param string|null          $at         where they were seen: `main` or a group's id; null: nowhere
     */
    public function __construct(
        public string $id,
        public string $name,
        public bool $absent,
        public bool $claimed,
        public Place $place,
        public Because $because,
        public ?string $at,
        public ?string $table,
        public array $attributes,
        public array $tags,
    ) {
    }
}
