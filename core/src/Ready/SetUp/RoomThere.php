<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Ready\SetUp;

/**
 * A room as it is.
 */
final readonly class RoomThere
{
    /**
     * @param string       $place      `main`, or the id of a group
     * @param bool         $made       people can be let in
     * @param bool         $lost       it was made, and is not where it was made any more
     * @param list<string> $people     ids of who may enter
     * @param bool         $named      somebody gave it its name by hand
     * @param list<string> $inside     names of who is in it now
     * @param int          $recordings how many there are of it
     * @param bool         $known      who is in it could be asked
     */
    public function __construct(
        public string $id,
        public string $place,
        public string $name,
        public bool $made,
        public bool $lost = false,
        public array $people = [],
        public bool $named = false,
        public array $inside = [],
        public int $recordings = 0,
        public bool $known = true,
    ) {
    }
}
