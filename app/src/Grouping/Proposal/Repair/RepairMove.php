<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Proposal\Repair;

/**
 * One change that mends groups: who moves, or swaps with whom.
 */
final readonly class RepairMove
{
    /**
     * @param string      $student id
     * @param string|null $from    name of the group; null for who had no seat
     * @param string      $to      name of the group
     */
    public function __construct(
        public string $student,
        public ?string $from,
        public string $to,
        public string $because,
    ) {
    }
}
