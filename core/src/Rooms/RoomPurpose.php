<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Rooms;

/**
 * What a room is for.
 */
enum RoomPurpose: string
{
    /** Where the whole class meets; one a class. */
    case Main = 'main';
    /** A group's own place to talk; one a group. */
    case Group = 'group';
    /** A standing room that belongs to no group; any number a class. */
    case Side = 'side';
}
