<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Meeting;

use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;

/**
 * All services in which people meet: each is asked about the rooms it has.
 */
final readonly class RoomServices
{
    /**
     * @param iterable<RoomService> $all
     */
    public function __construct(#[AutowireIterator(RoomService::class)] private iterable $all)
    {
    }

    /**
     * @throws MeetingServiceFailed where no service has such a room
     */
    public function serviceFor(string $room): RoomService
    {
        return $this->find($room) ?? throw MeetingServiceFailed::answered(404);
    }

    /**
     * @return RoomService|null null where no service has such a room
     */
    public function find(string $room): ?RoomService
    {
        foreach ($this->all as $service) {
            if ($service->owns($room)) {
                return $service;
            }
        }

        return null;
    }

    /**
     * @param list<string> $rooms
     *
     * @return array<string, RoomStatus> by what the service calls them; those that are not there are missing
     *
     * @throws MeetingServiceFailed
     */
    public function states(array $rooms): array
    {
        $states = [];
        foreach ($this->shared($rooms) as [$service, $own]) {
            $states += $service->states($own);
        }

        return $states;
    }

    /**
     * @param list<string> $rooms
     *
     * @return array<string, array{room: string, since: int}> our id of a person => where they are, and since when
     *     (milliseconds since 1970)
     *
     * @throws MeetingServiceFailed
     */
    public function whoIsThere(array $rooms): array
    {
        $there = [];
        foreach ($this->shared($rooms) as [$service, $own]) {
            $there += $service->whoIsThere($own);
        }

        return $there;
    }

    /**
     * Moves people who are in any of these rooms; those who are in none stay where they are.
     *
     * @param array<string, string> $moves our id of a person => the room
     * @param list<string>          $among rooms they may be in now
     *
     * @throws MeetingServiceFailed
     */
    public function move(array $moves, array $among): void
    {
        foreach ([] === $moves ? [] : $this->shared([...$among, ...array_values($moves)]) as [$service, $own]) {
            $service->move($moves, $own);
        }
    }

    /**
     * Shows a message in rooms.
     *
     * @param list<string> $rooms
     *
     * @throws MeetingServiceFailed
     */
    public function say(array $rooms, string $text): void
    {
        foreach ($this->shared($rooms) as [$service, $own]) {
            $service->say($own, $text);
        }
    }

    /**
     * Shows a message to one person alone, in whatever room they are.
     *
     * @throws MeetingServiceFailed
     */
    public function tell(string $person, string $text): void
    {
        foreach ($this->all as $service) {
            $service->tell($person, $text);
        }
    }

    /**
     * @param list<string> $rooms
     *
     * @return list<array{RoomService, non-empty-list<string>}>
     */
    private function shared(array $rooms): array
    {
        $shared = [];
        foreach ($this->all as $service) {
            $own = array_values(array_unique(array_filter($rooms, $service->owns(...))));
            if ([] !== $own) {
                $shared[] = [$service, $own];
            }
        }

        return $shared;
    }
}
