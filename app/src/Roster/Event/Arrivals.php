<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Event;

/**
 * Somebody of a class came in, left, was let in or waits in the doorway.
 */
final readonly class Arrivals
{
    public function __construct(public string $classId)
    {
    }
}
