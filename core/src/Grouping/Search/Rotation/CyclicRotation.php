<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Search\Rotation;

/**
 * Rotations that follow from one round, or a few: everybody but a few who stay moves on by one step of a cycle from
 * round to round, each in a cycle of their own, and as no two groups hold pairs that lie alike, no two meet again (the
 * method of differences: Bose, 1939). The rounds were found by a search of our own; that they hold is tested.
 *
 * Fifteen in threes is Kirkman's (1850); 33 in threes is one of Ray-Chaudhuri and Wilson's (1971); 18, 24, 30 and 36 in
 * threes, where each misses one other, are nearly Kirkman (Kotzig and Rosa, 1974; Baker and Wilson, 1977); 28 in fours
 * is resolvable (Bose, 1939), and in 24 in fours each misses two others (Shen, 1987).
 */
final readonly class CyclicRotation implements Construction
{
    /**
     * Size of the groups; steps in a cycle (9 stands for three times three); how many cycles; how many stay; the first
     * rounds, in which student c · steps + i stands at place i of cycle c and those who stay come last.
     *
     * @var list<array{int, int, int, int, list<list<list<int>>>}>
     */
    private const BASES = [
        [3, 7, 2, 1, [[[1, 13, 14], [2, 4, 10], [0, 3, 7], [5, 6, 8], [9, 11, 12]]]],
        [
            3,
            4,
            4,
            2,
            [
                [[8, 15, 17], [1, 4, 16], [2, 9, 14], [7, 10, 11], [5, 6, 12], [0, 3, 13]],
                [[1, 5, 17], [10, 14, 16], [3, 4, 9], [2, 11, 13], [7, 12, 15], [0, 6, 8]],
            ],
        ],
        [
            3,
            11,
            2,
            2,
            [[[2, 12, 23], [9, 17, 22], [6, 7, 18], [4, 8, 10], [1, 15, 19], [11, 13, 21], [0, 3, 16], [5, 14, 20]]],
        ],
        [
            3,
            14,
            2,
            2,
            [
                [
                    [4, 26, 29],
                    [9, 18, 28],
                    [2, 5, 10],
                    [16, 22, 27],
                    [12, 23, 25],
                    [13, 14, 15],
                    [11, 17, 21],
                    [0, 1, 19],
                    [6, 8, 20],
                    [3, 7, 24],
                ],
            ],
        ],
        [
            3,
            15,
            2,
            3,
            [
                [
                    [12, 23, 32],
                    [5, 21, 31],
                    [7, 27, 30],
                    [8, 9, 26],
                    [1, 16, 24],
                    [6, 19, 28],
                    [0, 25, 29],
                    [3, 10, 22],
                    [2, 4, 13],
                    [11, 14, 20],
                    [15, 17, 18],
                ],
            ],
        ],
        [
            3,
            17,
            2,
            2,
            [
                [
                    [12, 21, 35],
                    [3, 32, 34],
                    [14, 17, 25],
                    [6, 9, 22],
                    [5, 24, 28],
                    [23, 29, 30],
                    [19, 31, 33],
                    [0, 4, 18],
                    [13, 15, 20],
                    [1, 7, 8],
                    [11, 16, 26],
                    [2, 10, 27],
                ],
            ],
        ],
        [
            4,
            7,
            3,
            3,
            [[[3, 13, 15, 23], [4, 8, 14, 22], [5, 11, 18, 21], [0, 2, 6, 7], [9, 10, 12, 20], [1, 16, 17, 19]]],
        ],
        [
            4,
            9,
            3,
            1,
            [
                [
                    [2, 9, 22, 27],
                    [5, 6, 15, 24],
                    [4, 12, 16, 19],
                    [13, 18, 21, 23],
                    [0, 1, 7, 26],
                    [8, 14, 20, 25],
                    [3, 10, 11, 17],
                ],
            ],
        ],
        [
            4,
            11,
            3,
            3,
            [
                [
                    [4, 21, 24, 35],
                    [6, 13, 29, 34],
                    [7, 19, 31, 33],
                    [15, 23, 25, 26],
                    [0, 1, 11, 14],
                    [18, 20, 22, 27],
                    [8, 12, 16, 17],
                    [3, 5, 9, 30],
                    [2, 10, 28, 32],
                ],
            ],
        ],
    ];

    public function rounds(array $sizes, int $rounds): ?array
    {
        foreach (self::BASES as [$size, $steps, $cycles, $stay, $bases]) {
            if ($sizes === array_fill(0, intdiv($steps * $cycles + $stay, $size), $size)) {
                $found = self::moved($bases, $steps, $cycles);
                if (3 === $stay && 3 === $size) {
                    $found[] = self::standing($steps, $cycles, $stay);
                }

                return $rounds <= \count($found) ? \array_slice($found, 0, $rounds) : null;
            }
        }

        return null;
    }

    /**
     * @param list<list<list<int>>> $bases
     *
     * @return list<list<list<int>>>
     */
    private static function moved(array $bases, int $steps, int $cycles): array
    {
        $found = [];
        foreach ($bases as $base) {
            for ($by = 0; $by < $steps; ++$by) {
                $found[] = array_map(
                    static fn (array $group): array => array_map(
                        static fn (int $place): int => $place >= $steps * $cycles
                            ? $place
                            : intdiv($place, $steps) * $steps + self::step($place % $steps, $by, $steps),
                        $group,
                    ),
                    $base,
                );
            }
        }

        return $found;
    }

    private static function step(int $place, int $by, int $steps): int
    {
        return 9 === $steps
            ? 3 * ((intdiv($place, 3) + intdiv($by, 3)) % 3) + (($place + $by) % 3)
            : ($place + $by) % $steps;
    }

    /**
     * One round more: those who stay, and every third of each cycle.
     *
     * @return list<list<int>>
     */
    private static function standing(int $steps, int $cycles, int $stay): array
    {
        $groups = [range($steps * $cycles, $steps * $cycles + $stay - 1)];
        $third = intdiv($steps, 3);
        for ($cycle = 0; $cycle < $cycles; ++$cycle) {
            for ($i = 0; $i < $third; ++$i) {
                $groups[] = [$cycle * $steps + $i, $cycle * $steps + $i + $third, $cycle * $steps + $i + 2 * $third];
            }
        }

        return $groups;
    }
}
