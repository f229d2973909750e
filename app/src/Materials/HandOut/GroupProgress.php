<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\HandOut;

/**
 * How far a group is with its work.
 */
final readonly class GroupProgress
{
    /**
     * @param int|null     $changedAt when anything changed last, in milliseconds since 1970
     * @param int          $filled    slots with something in them; one of each member counts for itself
     * @param int          $slots     all of them
     * @param list<string> $authors   members who have written something
     */
    public function __construct(
        public ?int $changedAt,
        public int $filled,
        public int $slots,
        public array $authors,
    ) {
    }
}
