<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Event;

use FreshHuddle\App\Rooms\Room;

/**
 * A room of the class is made, failed, or has other members.
 */
final readonly class RoomsChanged
{
    /**
     * @param string|null $groupId whose room it is; null: it concerns the whole class
     */
    public function __construct(public string $classId, public ?string $groupId = null)
    {
    }

    public static function forRoom(Room $room): self
    {
        return new self($room->class->id, $room->group?->id);
    }
}
