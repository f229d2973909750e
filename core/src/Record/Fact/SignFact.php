<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Record\Fact;

use FreshHuddle\Core\Live\Place;

/**
 * Where a student was seen, from then on until the next sign.
 */
final readonly class SignFact
{
    /**
     * @param string|null $where `main`, a group's or a side room's id; null where that is not known
     */
    public function __construct(
        public string $student,
        public int $at,
        public Place $place,
        public ?string $where,
    ) {
    }
}
