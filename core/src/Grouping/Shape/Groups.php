<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Shape;

use FreshHuddle\Core\Grouping\Exception\ImpossibleShape;
use FreshHuddle\Core\Grouping\Shape;

/**
 * So many groups; their sizes differ by one at most.
 */
final readonly class Groups implements Shape
{
    /**
     * @throws ImpossibleShape if there is not at least one group
     */
    public function __construct(public int $groups)
    {
        if ($groups < 1) {
            throw ImpossibleShape::noGroup();
        }
    }

    public function sizes(int $students): array
    {
        return self::even($students, $this->groups);
    }

    /**
     * @return list<int> at most $groups sizes as even as can be, the larger first, without a group of one (from four
     *                   students) or none. Complexity: O(groups)
     */
    public static function even(int $students, int $groups): array
    {
        if ($students < 1) {
            return [];
        }
        $groups = min($groups, $students < 4 ? $students : intdiv($students, 2));
        $larger = $students % $groups;

        return [
            ...array_fill(0, $larger, intdiv($students, $groups) + 1),
            ...array_fill(0, $groups - $larger, intdiv($students, $groups)),
        ];
    }
}
