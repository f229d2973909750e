<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping;

/**
 * Saved groups, as they stand in the list of a class.
 */
final readonly class GroupingSummary
{
    /**
     * @param int      $seated how many have a seat
     * @param int      $rounds how many rounds use it
     * @param int|null $usedAt when students last sat in it, milliseconds since 1970
     */
    public function __construct(
        public string $id,
        public string $name,
        public int $groups,
        public int $seated,
        public int $rounds,
        public ?int $usedAt,
    ) {
    }
}
