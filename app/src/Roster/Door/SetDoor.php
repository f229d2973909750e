<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Door;

final readonly class SetDoor
{
    /**
     * @param bool $names whether names stand at the door to be pressed, while a lesson is on; false: they are typed
     */
    public function __construct(public bool $names)
    {
    }
}
