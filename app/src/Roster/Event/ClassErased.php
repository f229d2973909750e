<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Event;

/**
 * A class is erased for good: each area lets go of what it keeps about it, within the same transaction; areas that come
 * later first.
 */
final readonly class ClassErased
{
    public function __construct(public string $classId)
    {
    }
}
