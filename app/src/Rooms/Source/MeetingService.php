<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Source;

use FreshHuddle\App\Rooms\Meeting\StandinMeetingService;
use FreshHuddle\App\Rooms\Room;
use FreshHuddle\App\Rooms\RoomStore;
use FreshHuddle\Core\Rooms\RoomPermissions;
use FreshHuddle\Core\Rooms\SourceKind;

/**
 * Rooms made at a meeting service, with a link of their own for each person.
 */
final readonly class MeetingService implements Source
{
    public function __construct(private StandinMeetingService $service, private RoomSources $sources)
    {
    }

    public static function kind(): SourceKind
    {
        return SourceKind::MeetingService;
    }

    public function provision(Room $room, array $people, array $named, RoomStore $store): array
    {
        if (null === $room->externalId) {
            $room->externalId = $this->service->make($room->id, $room->name, $this->allowed($room));
            $store->madeAs($room->id, $room->externalId);
        }

        return $this->service->setMembers($room->externalId, $people);
    }

    public function change(Room $room): void
    {
        if (null !== $room->externalId) {
            $this->service->change($room->externalId, $room->name, $this->allowed($room));
        }
    }

    public function entryUrl(string $link): string
    {
        return $this->service->entryUrl($link);
    }

    public function retire(string $externalId): void
    {
        $this->service->retire($externalId);
    }

    private function allowed(Room $room): RoomPermissions
    {
        return $room->allowedHere()->under($this->sources->forClass($room->class)->allowed());
    }
}
