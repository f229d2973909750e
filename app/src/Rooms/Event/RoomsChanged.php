<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Event;

/**
 * A room of the class is made, failed, or has other members.
 */
final readonly class RoomsChanged
{
    public function __construct(public string $classId)
    {
    }
}
