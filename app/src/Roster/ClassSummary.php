<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster;

use FreshHuddle\App\Roster\Staff\StaffRole;

/**
 * A class, as it stands in lists.
 */
final readonly class ClassSummary
{
    public function __construct(
        public string $id,
        public string $name,
        public string $doorWord,
        public int $students,
        public bool $archived,
        public StaffRole $role,
    ) {
    }
}
