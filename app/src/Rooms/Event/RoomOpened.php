<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Event;

/**
 * The media server has made a room of our own: it had none, or was started anew.
 */
final readonly class RoomOpened
{
    /**
     * @param string $room what the media server calls it
     */
    public function __construct(public string $room)
    {
    }
}
