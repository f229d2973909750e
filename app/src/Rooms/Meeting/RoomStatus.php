<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Meeting;

use FreshHuddle\Core\Rooms\RoomPermissions;

/**
 * A room as the meeting service has it.
 */
final readonly class RoomStatus
{
    /**
     * @param int  $people     who are in it now
     * @param int  $members    who may enter
     * @param bool $recording  it is being recorded now
     * @param int  $recordings that there are of it
     */
    public function __construct(
        public string $name,
        public RoomPermissions $allowed,
        public bool $open,
        public int $people,
        public int $members,
        public bool $recording,
        public int $recordings,
    ) {
    }
}
