<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping;

use FreshHuddle\Core\Grouping\Exception\ImpossibleShape;
use FreshHuddle\Core\Grouping\Exception\NoWayFound;
use FreshHuddle\Core\Grouping\Search\Limit;

/**
 * A way of putting a class into groups.
 */
interface Method
{
    /**
     * @param Limit $limit when to stop looking for something better; there is an answer all the same
     *
     * @return Result with `conflicts` and no rounds where the rules cannot all be kept
     *
     * @throws ImpossibleShape if these students cannot be divided so
     * @throws NoWayFound      if no way to keep the rules was found and it is not known whether there is one
     */
    public function solve(Problem $problem, Limit $limit): Result;
}
