<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Body;

/**
 * The body of a request: whoever tried the link says whether it was the right room.
 */
final readonly class RoomTried
{
    /**
     * @param bool $was whoever went in says that this was it
     */
    public function __construct(public bool $was)
    {
    }
}
