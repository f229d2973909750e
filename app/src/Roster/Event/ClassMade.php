<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Event;

use FreshHuddle\App\Roster\SchoolClass;

/**
 * A class is being made: each area adds what a class has from its first moment, within the same transaction.
 */
final readonly class ClassMade
{
    public function __construct(public SchoolClass $class)
    {
    }
}
