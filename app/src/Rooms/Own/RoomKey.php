<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Own;

/**
 * What opens one room of the media server to one person, once.
 */
final readonly class RoomKey
{
    public function __construct(public string $room, public string $token)
    {
    }
}
