<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Event;

use FreshHuddle\Core\Roster\Erasure\FormerMember;

/**
 * A student is erased for good: each area lets go of what it keeps about them, within the same transaction. Rows that
 * belong to the student go with them.
 */
final readonly class StudentErased
{
    public function __construct(public string $classId, public FormerMember $student)
    {
    }
}
