<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Problem;

/**
 * Groups as they are, and what has come between: somebody is missing, somebody is late.
 */
final readonly class Disturbance
{
    /**
     * @param list<list<string>> $current  the groups as they are, by number
     * @param list<string>       $absent   ids of those who are not coming
     * @param list<string>       $arrivals ids of those who have no seat yet
     * @param int                $minSize  1 or more: no group below it, except an empty one
     * @param int|null           $maxSize  no group above it; null: any size
     */
    public function __construct(
        public array $current,
        public array $absent = [],
        public array $arrivals = [],
        public int $minSize = 2,
        public ?int $maxSize = null,
    ) {
    }
}
