<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Signal;

use FreshHuddle\Core\Live\Signal\ChalkMark;

/**
 * How a group at work stands, as staff see it. Moments are milliseconds since 1970.
 */
final readonly class GroupSignalView
{
    /**
     * @param int            $visits    how often somebody has come to it
     * @param int|null       $visitedAt when the last visit ended
     * @param string|null    $visitor   who of the staff is there now
     * @param string|null    $name      of whoever is there
     * @param int|null       $since     since when
     * @param ChalkMark|null $mark      what lies on its table
     * @param int|null       $changedAt when anything of its work changed last
     * @param int            $filled    slots with something in them
     * @param int            $slots     all of them
     * @param list<string>   $silent    members who have written nothing
     * @param bool           $done      all of it is filled, or the group says that it is done
     * @param bool           $nobody    none of its members is there
     * @param list<string>   $waitsFor  members who have to open its room, and have not; none where it does not wait
     * @param int            $stirredAt when anything happened in it last
     * @param int            $stillFrom from when on it counts as still, unless something happens
     */
    public function __construct(
        public string $groupId,
        public ?CallView $call,
        public int $visits,
        public ?int $visitedAt,
        public ?string $visitor,
        public ?string $name,
        public ?int $since,
        public ?ChalkMark $mark,
        public ?int $changedAt,
        public int $filled,
        public int $slots,
        public array $silent,
        public bool $done,
        public int $stirredAt,
        public int $stillFrom,
        public bool $nobody,
        public array $waitsFor,
    ) {
    }
}
