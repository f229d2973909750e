<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Shape;

/**
 * What to do with the students left over when a class is divided into groups of one size.
 */
enum Remainder: string
{
    /** The number of groups nearest to n/size, then even: 17 in threes is six groups. */
    case Spread = 'spread';
    /** Rather some larger groups: those left over join one group each. */
    case Larger = 'larger';
    /** Rather some smaller groups: no group above the size. */
    case Smaller = 'smaller';
}
