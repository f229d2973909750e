<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Ready;

/**
 * One thing that can be wrong with a lesson before students are sent out.
 */
interface Check
{
    /**
     * @return list<Finding> none where all is well
     *
     * Complexity: O(size of the plan)
     */
    public function find(Plan $plan): array;
}
