<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Door;

/**
 * A name that can be picked from the list.
 */
final readonly class NameAtDoor
{
    /**
     * @param int|null $picture the picture they know themselves by, from 0; null: they read
     * @param bool     $taken   a device has chosen this name already
     */
    public function __construct(
        public string $id,
        public string $name,
        public bool $taken,
        public ?int $picture = null,
    ) {
    }
}
