<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Search;

/**
 * Keeps count of what a goal needs, so that a swap is judged by what it changes. Two students in different groups
 * change places; one of them may be a vacancy (a number from n on), which has no value, tag or acquaintance.
 */
interface Tally
{
    /**
     * Counts an arrangement from the start. Complexity: O(n).
     */
    public function load(Arrangement $seating): void;

    /**
     * What the cost would change by. Complexity: independent of n.
     */
    public function delta(Arrangement $seating, int $i, int $j): float;

    /**
     * Counts a swap that is about to be carried out.
     */
    public function swap(Arrangement $seating, int $i, int $j): void;
}
