<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Rooms;

/**
 * What students may do in a room, beside talking.
 */
final readonly class RoomPermissions
{
    public function __construct(
        public bool $record = false,
        public bool $shareScreen = true,
        public bool $write = true,
    ) {
    }

    public function equals(self $other): bool
    {
        return $this->record === $other->record
            && $this->shareScreen === $other->shareScreen
            && $this->write === $other->write;
    }
}
