<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Support;

use FreshHuddle\App\Rooms\Meeting\RoomCapabilities;
use FreshHuddle\App\Rooms\Meeting\RoomService;
use FreshHuddle\App\Rooms\Meeting\RoomStatus;
use FreshHuddle\Core\Rooms\RoomPermissions;

/**
 * A meeting service that does as it is told at once, for tests that order what happens when. Real HTTP is in
 * RoomServiceTest.
 */
final class RoomsInMemory implements RoomService
{
    /** @var array<string, array{room: string, since: int}> */
    public array $there = [];
    /** @var array<string, string> who was moved last, and where */
    public array $moved = [];
    /** @var (\Closure(): void)|null what happens while it is answering who is there */
    public ?\Closure $meanwhile = null;

    public function capabilities(): RoomCapabilities
    {
        return new RoomCapabilities(true, true, true, true);
    }

    public function owns(string $room): bool
    {
        return true;
    }

    public function make(string $key, string $name, RoomPermissions $allowed): string
    {
        return 'm'.substr(hash('sha256', $key), 0, 16);
    }

    public function change(string $room, string $name, RoomPermissions $allowed): void
    {
    }

    public function retire(string $room): void
    {
    }

    public function open(string $room, bool $open): void
    {
    }

    public function record(string $room, bool $on): void
    {
    }

    public function listen(string $room): string
    {
        return 'RIFF    WAVE';
    }

    public function states(array $rooms): array
    {
        return array_fill_keys($rooms, new RoomStatus('Room', new RoomPermissions(), true, 0, 0, false, 0));
    }

    public function setMembers(string $room, array $people): array
    {
        return array_map(
            static fn (string $name): string => 'http://127.0.0.1/in/'.hash('sha256', $room.$name),
            $people,
        );
    }

    public function move(array $moves, array $among): void
    {
        $this->moved = array_replace($this->moved, $moves);
    }

    public function say(array $rooms, string $text): void
    {
    }

    public function whoIsThere(array $rooms): array
    {
        $there = $this->there;
        ($this->meanwhile ?? static fn (): null => null)();

        return $there;
    }

    public function tell(string $person, string $text): void
    {
    }
}
