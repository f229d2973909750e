<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Source;

use FreshHuddle\App\Rooms\Exception\NoLinkYet;
use FreshHuddle\App\Rooms\Room;
use FreshHuddle\App\Rooms\RoomStore;
use FreshHuddle\Core\Rooms\SourceKind;

/**
 * Links the teacher has; everybody of a room goes in by the same. Who may not enter is not shown it, and that is all
 * that can be done from here.
 */
final readonly class OwnLinks implements Source
{
    public static function kind(): SourceKind
    {
        return SourceKind::OwnLinks;
    }

    public function provision(Room $room, array $people, array $named, RoomStore $store): array
    {
        $link = $room->link ?? throw NoLinkYet::said();

        return array_map(static fn (): string => $link, $people);
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
