<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Event;

/**
 * The class list changed: a name, somebody absent, somebody new.
 */
final readonly class ClassChanged
{
    public function __construct(public string $classId)
    {
    }
}
