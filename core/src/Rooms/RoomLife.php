<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Rooms;

/**
 * How long a room is kept.
 */
enum RoomLife: string
{
    /** It closes when the round is over; the next one has it opened again, by the same links. */
    case Round = 'round';
    /** As long as its grouping. */
    case Grouping = 'grouping';
    /** Until somebody takes it away. */
    case Standing = 'standing';
}
