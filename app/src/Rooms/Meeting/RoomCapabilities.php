<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Meeting;

/**
 * What can be expected of a service in which people meet. Rules ask this, and never which service it is.
 */
final readonly class RoomCapabilities
{
    /**
     * @param bool $keepsMembers it knows who may enter a room before they come
     * @param bool $keepsRooms   a room that was made stays until it is retired; elsewhere it is made when somebody
     *                           comes
     * @param bool $givesSamples it lets us hear a second or two of a room (`listen`)
     * @param bool $records      a room can be recorded (`record`)
     */
    public function __construct(
        public bool $keepsMembers,
        public bool $keepsRooms,
        public bool $givesSamples,
        public bool $records,
    ) {
    }
}
