<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Shape;

use FreshHuddle\Core\Grouping\Exception\ImpossibleShape;
use FreshHuddle\Core\Grouping\Shape;

/**
 * So many in each group, with a way for those left over.
 */
final readonly class Size implements Shape
{
    /**
     * @throws ImpossibleShape if a group would not hold at least one student
     */
    public function __construct(public int $size, public Remainder $remainder = Remainder::Spread)
    {
        if ($size < 1) {
            throw ImpossibleShape::emptyGroups();
        }
    }

    public function sizes(int $students): array
    {
        if ($students < 1) {
            return [];
        }
        $groups = match ($this->remainder) {
            // n/s rounded, a half upwards, in whole numbers
            Remainder::Spread => intdiv(2 * $students + $this->size, 2 * $this->size),
            Remainder::Larger => intdiv($students, $this->size),
            Remainder::Smaller => intdiv($students + $this->size - 1, $this->size),
        };

        return Groups::even($students, max(1, $groups));
    }
}
