<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Source;

use FreshHuddle\App\Rooms\Room;
use FreshHuddle\App\Rooms\RoomStore;
use FreshHuddle\Core\Rooms\SourceKind;

/**
 * Everybody is in one building: a room is a place with a name, and there is nothing to make.
 */
final readonly class Classroom implements Source
{
    public static function kind(): SourceKind
    {
        return SourceKind::Classroom;
    }

    public function provision(Room $room, array $people, array $named, RoomStore $store): array
    {
        return array_map(static fn (): string => '', $people);
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
    }
}
