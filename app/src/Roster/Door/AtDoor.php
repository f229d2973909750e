<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Door;

use FreshHuddle\App\Roster\Device\DeviceEnd;

/**
 * Where somebody stands who has come to the door.
 */
final readonly class AtDoor
{
    /**
     * @param DeviceEnd|null $ended why this device is out that was in; null: it never was, or it knows
     * @param string|null    $name  whose name it had, or waits for while another device has it
     * @param bool           $taken it waits because another device has the name
     */
    public function __construct(
        public DoorState $state,
        public ?DeviceEnd $ended = null,
        public ?string $name = null,
        public bool $taken = false,
    ) {
    }
}
