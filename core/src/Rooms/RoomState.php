<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Rooms;

/**
 * Where a room stands.
 */
enum RoomState: string
{
    case Planned = 'planned';
    case Made = 'made';
    case Tried = 'tried';
    case Open = 'open';
    case Closed = 'closed';
    case Failed = 'failed';

    public function hasLink(): bool
    {
        return match ($this) {
            self::Planned, self::Failed => false,
            self::Made, self::Tried, self::Open, self::Closed => true,
        };
    }
}
