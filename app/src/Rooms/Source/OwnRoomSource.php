<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Source;

use FreshHuddle\App\Rooms\Own\OwnRooms;
use FreshHuddle\App\Rooms\Room;
use FreshHuddle\App\Rooms\RoomStore;
use FreshHuddle\Core\Rooms\SourceKind;

/**
 * Everybody meets in our own pages. There is nothing to make beforehand: the media server has a room while somebody is
 * in it.
 */
final readonly class OwnRoomSource implements Source
{
    public function __construct(private OwnRooms $service)
    {
    }

    public static function kind(): SourceKind
    {
        return SourceKind::OwnRooms;
    }

    public function provision(Room $room, array $people, array $named, RoomStore $store): array
    {
        if (null === $room->externalId) {
            $room->externalId = $this->service->roomId($room->id);
            $store->madeAs($room->id, $room->externalId);

            return array_map(static fn (): string => '', $people);
        }

        return $this->service->setMembers($room->externalId, $people);
    }

    public function change(Room $room): void
    {
    }

    public function entryUrl(string $link): string
    {
        return $link;
    }

    public function retire(string $externalId): void
    {
        $this->service->retire($externalId);
    }
}
