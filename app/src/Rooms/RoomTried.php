<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms;

final readonly class RoomTried
{
    /**
     * @param bool $was whoever went in says that this was it
     */
    public function __construct(public bool $was)
    {
    }
}
