<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Door;

/**
 * Where somebody stands who has come to the door.
 */
final readonly class AtDoor
{
    public function __construct(public DoorState $state)
    {
    }
}
