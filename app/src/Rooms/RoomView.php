<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms;

use FreshHuddle\Core\Rooms\RoomState;

final readonly class RoomView
{
    /**
     * @param string|null $groupId null for the main session
     * @param bool        $working it is being made or changed just now
     * @param string|null $failure why not, where it failed or is tried again
     */
    public function __construct(
        public string $id,
        public ?string $groupId,
        public string $name,
        public RoomState $state,
        public bool $working,
        public ?string $failure,
    ) {
    }
}
