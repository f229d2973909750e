<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Meeting;

use FreshHuddle\Core\Rooms\RoomPermissions;
use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/**
 * A service in which people meet. Every call may be made twice with the same effect as once.
 */
#[AutoconfigureTag]
interface RoomService
{
    public const MOST_SOUND = 500_000;

    public function capabilities(): RoomCapabilities;

    /**
     * Whether a room that is called so is one of this service's, there or not. Asks nobody.
     */
    public function owns(string $room): bool;

    /**
     * @param string $key the same key gives the same room
     *
     * @return string what the service calls the room
     *
     * @throws MeetingServiceFailed
     */
    public function make(string $key, string $name, RoomPermissions $allowed): string;

    /**
     * The room is called otherwise, or other things are allowed in it.
     *
     * @throws MeetingServiceFailed
     */
    public function change(string $room, string $name, RoomPermissions $allowed): void;

    /**
     * Nobody is let in any more, and whoever is in it is out of it. Recordings stay. Nothing happens where there is no
     * such room.
     *
     * @throws MeetingServiceFailed
     */
    public function retire(string $room): void;

    /**
     * Lets people in; or nobody, and whoever is in it is put out.
     *
     * @throws MeetingServiceFailed
     */
    public function open(string $room, bool $open): void;

    /**
     * @throws MeetingServiceFailed also where it records nothing
     */
    public function record(string $room, bool $on): void;

    /**
     * What is to be heard in a room just now, for a second or two.
     *
     * @return string the bytes of a WAVE file, at most MOST_SOUND of them
     *
     * @throws MeetingServiceFailed also where it gives no samples
     */
    public function listen(string $room): string;

    /**
     * How rooms are over there. It is not believed that one is there because it was made.
     *
     * @param list<string> $rooms
     *
     * @return array<string, RoomStatus> by what the service calls them; those that are not there are missing
     *
     * @throws MeetingServiceFailed
     */
    public function states(array $rooms): array;

    /**
     * Says who may enter a room, and nobody else.
     *
     * @param array<string, string> $people our id of a person => the name to show
     *
     * @return array<string, string> our id => that person's own link into the room; '' where it has none
     *
     * @throws MeetingServiceFailed
     */
    public function setMembers(string $room, array $people): array;

    /**
     * People who are in a room of the service are there no more, and in the one they are moved to as soon as their page
     * follows; those who are in none stay where they are.
     *
     * @param array<string, string> $moves our id of a person => the room, which may be another service's
     * @param list<string>          $among rooms of this service they may be in now
     *
     * @throws MeetingServiceFailed
     */
    public function move(array $moves, array $among): void;

    /**
     * Shows a message in rooms.
     *
     * @param list<string> $rooms
     *
     * @throws MeetingServiceFailed
     */
    public function say(array $rooms, string $text): void;

    /**
     * Shows a message to one person alone, in whatever room they are.
     *
     * @throws MeetingServiceFailed
     */
    public function tell(string $person, string $text): void;

    /**
     * @param list<string> $rooms
     *
     * @return array<string, array{room: string, since: int}> our id of a person => where they are, and since when
     *     (milliseconds since 1970)
     *
     * @throws MeetingServiceFailed
     */
    public function whoIsThere(array $rooms): array;
}
