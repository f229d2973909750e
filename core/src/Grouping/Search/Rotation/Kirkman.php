<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Search\Rotation;

/**
 * Fifteen in threes for seven days (Kirkman, 1850): a packing of the 35 lines of the projective space PG(3, 2) into seven
 * spreads. With one student fewer, one group a round has two.
 */
final readonly class Kirkman implements Construction
{
    /** @var list<list<list<int>>> */
    private const DAYS = [
        [[0, 1, 2], [3, 7, 11], [4, 9, 14], [5, 10, 12], [6, 8, 13]],
        [[0, 3, 4], [1, 7, 9], [2, 12, 13], [5, 8, 14], [6, 10, 11]],
        [[0, 5, 6], [1, 8, 10], [2, 11, 14], [3, 9, 13], [4, 7, 12]],
        [[0, 7, 8], [1, 11, 13], [2, 4, 5], [3, 10, 14], [6, 9, 12]],
        [[0, 9, 10], [1, 12, 14], [2, 3, 6], [4, 8, 11], [5, 7, 13]],
        [[0, 11, 12], [1, 3, 5], [2, 8, 9], [4, 10, 13], [6, 7, 14]],
        [[0, 13, 14], [1, 4, 6], [2, 7, 10], [3, 8, 12], [5, 9, 11]],
    ];

    public function rounds(array $sizes, int $rounds): ?array
    {
        if (([3, 3, 3, 3, 3] !== $sizes && [3, 3, 3, 3, 2] !== $sizes) || $rounds > \count(self::DAYS)) {
            return null;
        }
        $students = array_sum($sizes);

        $found = [];
        foreach (\array_slice(self::DAYS, 0, $rounds) as $day => $groups) {
            foreach ($groups as $group) {
                $found[$day][] = array_values(array_filter($group, static fn (int $student): bool => $student < $students));
            }
        }

        return array_values($found);
    }
}
