<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Ready\SetUp;

/**
 * How everything outside the plan should be for a round: rooms, copies, what is sent.
 */
final readonly class WantedState
{
    /**
     * @param list<WantedRoom>         $rooms
     * @param list<WantedCopy>         $copies
     * @param list<WantedPost>         $posts
     * @param list<WantedLetter>       $letters
     * @param array<array-key, string> $names   of people, by id
     * @param array<array-key, string> $tables  names of groups by id, in the order of the floor
     */
    public function __construct(
        public array $rooms = [],
        public array $copies = [],
        public array $posts = [],
        public array $letters = [],
        public array $names = [],
        public array $tables = [],
    ) {
    }
}
