<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Materials;

/**
 * A copy there must be: of a group, of a student, or of the class.
 */
final readonly class CopyDue
{
    public function __construct(
        public HandOutWay $way,
        public ?string $group,
        public ?string $student,
        public string $variant,
    ) {
    }
}
