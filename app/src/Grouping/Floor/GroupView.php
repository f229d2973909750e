<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Floor;

/**
 * One group: its name, its sign and its members in the order of their seats.
 */
final readonly class GroupView
{
    /**
     * @param int          $number   from 1, as the tables stand on the floor
     * @param int          $mark     which colour and sign
     * @param list<string> $students ids of those on the list today, seat 1 first
     */
    public function __construct(
        public string $id,
        public string $name,
        public int $number,
        public int $mark,
        public array $students,
    ) {
    }
}
