<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping;

use FreshHuddle\Core\Grouping\Exception\ImpossibleShape;

/**
 * How many groups of which sizes a class falls into.
 */
interface Shape
{
    /**
     * @param int $students 0 or more
     *
     * @return list<int> a size a group, the larger first; their sum is $students. No group of one when there are four
     *                   students or more
     *
     * @throws ImpossibleShape if these students cannot be divided so
     */
    public function sizes(int $students): array;
}
