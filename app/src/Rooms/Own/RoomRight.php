<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Own;

/**
 * What somebody may send into a room; it stands in the token that lets them in, and the gate holds them to it.
 */
enum RoomRight: string
{
    /** Nothing: they hear. */
    case Listen = 'listens';
    /** Their voice and their camera. */
    case Speak = 'speaks';
    /** Their screen, too. */
    case Share = 'shares';
}
