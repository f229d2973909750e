<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms;

use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Rooms\Event\RoomsChanged;
use FreshHuddle\App\Rooms\Exception\NoLinkYet;
use FreshHuddle\App\Rooms\Exception\RoomsRefused;
use FreshHuddle\App\Rooms\Meeting\MeetingServiceFailed;
use FreshHuddle\App\Rooms\Meeting\RoomServices;
use FreshHuddle\App\Rooms\Member\Membership;
use FreshHuddle\App\Rooms\Source\Sources;
use FreshHuddle\Core\Grouping\Exception\NotOnTheFloor;
use Psr\EventDispatcher\EventDispatcherInterface;

/**
 * The way into a room, and what people who went there say of it.
 */
final readonly class RoomEntry
{
    public function __construct(
        private RoomReader $reader,
        private RoomStore $store,
        private Membership $membership,
        private Sources $sources,
        private RoomServices $services,
        private EventDispatcherInterface $events,
        private Clock $clock,
    ) {
    }

    /**
     * @return string the address that lets this teacher in
     *
     * @throws RoomsRefused where there is none yet, or the meeting service does not do it
     */
    public function way(Room $room, Teacher $teacher): string
    {
        if (!$room->state->hasLink() || !$room->source->hasLink()) {
            throw RoomsRefused::unusable('rooms.not_made');
        }
        try {
            if (null === $this->reader->linkOf($room->id, $teacher->id)) {
                $this->membership->reconcile($room); // they joined the class after the room was made
            }
        } catch (MeetingServiceFailed|NoLinkYet $e) {
            throw RoomsRefused::because($e->says);
        } catch (NotOnTheFloor) {
            throw RoomsRefused::unusable('rooms.not_made');
        }

        return $this->sources
            ->get($room->source)
            ->entryUrl($this->reader->linkOf($room->id, $teacher->id) ?? throw RoomsRefused::unusable('rooms.not_made'));
    }

    /**
     * @return string what is to be heard in it, as the bytes of a WAVE file
     *
     * @throws RoomsRefused where nothing can be heard
     */
    public function sound(Room $room): string
    {
        try {
            $external = $room->externalId ?? throw RoomsRefused::unusable('rooms.nothing_to_hear');
            $service = $this->services->serviceFor($external);

            return $service->capabilities()->givesSamples
                ? $service->listen($external)
                : throw RoomsRefused::unusable('rooms.nothing_to_hear');
        } catch (MeetingServiceFailed $e) {
            throw RoomsRefused::because($e->says);
        }
    }

    /**
     * @param bool $was whoever went in says that this was it
     */
    public function tried(Room $room, bool $was): void
    {
        $this->store->tried($room->id, $was ? $this->clock->ms() : null);
        $this->events->dispatch(RoomsChanged::forRoom($room));
    }

    /**
     * Somebody who was sent there says that it is open.
     */
    public function opened(string $roomId, string $classId): void
    {
        $this->store->opened($roomId, $this->clock->ms());
        $this->events->dispatch(new RoomsChanged($classId));
    }
}
