<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Door\Doorway;

/**
 * Somebody in the doorway, for the teacher.
 */
final readonly class DoorwayView
{
    /**
     * @param string      $typed   the name they typed
     * @param string|null $student who that would be on the list, where it is clear
     * @param bool        $taken   another device has that name
     * @param bool        $odd     the name has signs of several alphabets, so that it may look like another name
     */
    public function __construct(
        public string $id,
        public string $typed,
        public ?string $student,
        public bool $taken,
        public bool $odd,
    ) {
    }
}
