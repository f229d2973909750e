<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Ready\SetUp;

/**
 * A room there should be.
 */
final readonly class WantedRoom
{
    /**
     * @param string       $place  `main`, or the id of a group
     * @param string       $name   as it should be called
     * @param list<string> $people ids of who may enter
     * @param bool         $byUs   it can be brought about without a word from anybody
     */
    public function __construct(
        public string $place,
        public string $name,
        public array $people,
        public bool $byUs = true,
    ) {
    }
}
