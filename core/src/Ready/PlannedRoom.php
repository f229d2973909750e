<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Ready;

use FreshHuddle\Core\Rooms\Link;
use FreshHuddle\Core\Rooms\RoomState;
use FreshHuddle\Core\Rooms\SourceKind;

/**
 * A room, as far as the ready check needs it.
 */
final readonly class PlannedRoom
{
    /**
     * @param string      $place     `main`, or the id of a group
     * @param bool        $working   it is being made
     * @param Link|null   $link      the one address everybody goes in by, where there is one
     * @param bool        $tried     somebody went in, and that was it
     * @param bool        $guessable its address can be worked out from another
     * @param string|null $failure   why it could not be made
     * @param bool        $inUse     somebody is in it
     * @param bool        $lost      the meeting service does not know it any more
     */
    public function __construct(
        public string $place,
        public string $name,
        public RoomState $state,
        public SourceKind $source,
        public bool $working = false,
        public ?Link $link = null,
        public bool $tried = false,
        public bool $guessable = false,
        public ?string $failure = null,
        public bool $lost = false,
        public bool $inUse = false,
    ) {
    }
}
