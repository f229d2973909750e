<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Presence;

use FreshHuddle\App\Roster\Column\AttributeValue;
use FreshHuddle\Core\Live\EvidenceKind;
use FreshHuddle\Core\Live\Moving\Help;
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
     * @param string|null          $at where they were seen: `main` or the id of a group or a side room; null: nowhere
     * @param Help|null            $help       what one press can do for them; null: nothing, or nothing is wanted
     * @param string|null          $aside where they are to be instead of with their group: `main` or the id of a side
     *     room
     * @param int|null             $asideFrom  from when; milliseconds since 1970
     * @param int|null             $fetchedAt when they were last called to where they should be; milliseconds since
     *     1970
     */
    public function __construct(
        public string $id,
        public string $name,
        public bool $absent,
        public bool $claimed,
        public Place $place,
        public EvidenceKind $because,
        public ?string $at,
        public ?string $table,
        public array $attributes,
        public array $tags,
        public ?Help $help,
        public ?string $aside,
        public ?int $asideFrom,
        public ?int $fetchedAt,
    ) {
    }
}
