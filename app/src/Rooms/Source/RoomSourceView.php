<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Source;

use FreshHuddle\Core\Rooms\RoomLife;
use FreshHuddle\Core\Rooms\SourceKind;

/**
 * A way to get rooms, and what it can do.
 */
final readonly class RoomSourceView
{
    /**
     * @param bool        $takesIn   students' pages go into rooms of our own by themselves
     * @param int         $recordingDays recordings of rooms of our own are kept; 0: there are none
     * @param bool        $guessable the addresses of a pattern can be worked out by whoever knows one of them
     * @param string|null $withTail the same pattern with something in it that nobody can work out; null where there is
     *     no need
     */
    public function __construct(
        public SourceKind $kind,
        public string $namePattern,
        public string $addressPattern,
        public string $openedBy,
        public RoomLife $life,
        public bool $mayRecord,
        public bool $mayShareScreen,
        public bool $mayWrite,
        public bool $takesIn,
        public int $recordingDays,
        public bool $guessable,
        public ?string $withTail,
    ) {
    }
}
