<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Proposal;

/**
 * Who of a class has come. Lessons know; a grouping only asks.
 */
interface WhoIsHere
{
    /**
     * @return list<string>|null ids of students; null where no lesson with these groups is on, or nobody has given a
     *                           sign
     */
    public function in(string $groupingId): ?array;
}
