<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Search;

/**
 * How many of a kind a group gets when it is dealt at random: hypergeometric (Huygens, 1657, on drawing without putting
 * back).
 */
final class Drawn
{
    /**
     * @param int $students in all, 1 or more
     * @param int $kind     how many of them are of the kind, 0 to $students
     * @param int $size     of the group, 0 to $students
     *
     * @return array<int, float> number in the group => how likely; the sum is 1
     *
     * Complexity: O(size)
     */
    public static function odds(int $students, int $kind, int $size): array
    {
        $least = max(0, $size - ($students - $kind));
        $most = min($size, $kind);
        $odds = [];
        $term = 1.0;
        $sum = 0.0;
        for ($k = $least; $k <= $most; ++$k) {
            $odds[$k] = $term;
            $sum += $term;
            $term *= (($kind - $k) * ($size - $k)) / (($k + 1) * ($students - $kind - $size + $k + 1));
        }

        return array_map(static fn (float $odd): float => $odd / $sum, $odds);
    }

    /**
     * @param callable(int): float $of what a number is worth
     *
     * @return float what it is worth on average
     */
    public static function mean(int $students, int $kind, int $size, callable $of): float
    {
        $mean = 0.0;
        foreach (self::odds($students, $kind, $size) as $number => $odd) {
            $mean += $odd * $of($number);
        }

        return $mean;
    }
}
