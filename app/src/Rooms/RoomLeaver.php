<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms;

use FreshHuddle\App\Rooms\Exception\RoomsRefused;
use FreshHuddle\App\Rooms\Member\Occupants;
use FreshHuddle\App\Worker\Tasks;
use FreshHuddle\Core\Rooms\SourceKind;

/**
 * Gives a room up where it was made, so that it can come from elsewhere or go.
 */
final readonly class RoomLeaver
{
    public function __construct(
        private RoomStore $store,
        private Tasks $tasks,
        private Occupants $occupants,
    ) {
    }

    public function moveTo(Room $room, SourceKind $source, bool $sure): void
    {
        $this->giveUp($room, $sure);
        $this->store->moveTo($room->id, $source);
    }

    /**
     * @throws RoomsRefused if somebody is in the room and it was not said to be sure
     */
    public function giveUp(Room $room, bool $sure): void
    {
        $there = $sure ? [] : $this->occupants->inRoom($room);
        if ([] !== $there) {
            throw RoomsRefused::unusable('rooms.somebody_there', 'sure', ['names' => $there]);
        }
        $this->retire($room);
    }

    public function retire(Room $room): void
    {
        if (null !== $room->externalId) {
            $this->tasks->schedule(RoomTaskHandler::RETIRE, $room->externalId, null, ['class' => $room->class->id]);
        }
    }
}
