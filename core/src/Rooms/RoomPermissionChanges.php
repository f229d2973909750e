<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Rooms;

/**
 * What one room allows where it differs from the other rooms of its class.
 */
final readonly class RoomPermissionChanges
{
    /**
     * Null: as the class's rooms do.
     */
    public function __construct(
        public ?bool $record = null,
        public ?bool $shareScreen = null,
        public ?bool $write = null,
    ) {
    }

    /**
     * What is so in the room, whoever said it.
     */
    public function under(RoomPermissions $class): RoomPermissions
    {
        return new RoomPermissions(
            $this->record ?? $class->record,
            $this->shareScreen ?? $class->shareScreen,
            $this->write ?? $class->write,
        );
    }

    public function equals(self $other): bool
    {
        return $this->record === $other->record
            && $this->shareScreen === $other->shareScreen
            && $this->write === $other->write;
    }
}
