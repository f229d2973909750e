<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Goal;

use FreshHuddle\Core\Grouping\Search\Setting;

/**
 * How the values of an attribute are distributed in a class, and how far a group is from that. The distance is of whole
 * distributions, not of means: for numbers the squared distance of the distribution functions, weighted by the gaps
 * between values (Cramér, 1928), for other values that of their shares; both over what it would be for groups of one.
 *
 * A *level* is a threshold of a number (a student counts at every threshold their value does not exceed), or one value.
 * With more than 24 distinct numbers the thresholds are the 24-quantiles, each with the gap to the next.
 */
final readonly class Distribution
{
    /** So many distinct numbers are told apart. */
    private const MOST_LEVELS = 24;

    /**
     * @param array<int, int> $ranks    student => the first level they count at, without those who have no value
     * @param list<float>     $weights of each level; they make the cost of groups of one add up to the number of
     *     students
     * @param list<float>     $shares   of the class at each level, 0 to 1
     * @param bool            $isNumber whoever counts at a level counts at all after it, too
     */
    private function __construct(
        public array $ranks,
        public array $weights,
        public array $shares,
        public bool $isNumber,
    ) {
    }

    public static function forAttribute(Setting $setting, string $attribute): self
    {
        return null === $setting->scores($attribute)
            ? self::ofValues($setting, $attribute)
            : self::ofNumbers($setting, $attribute);
    }

    /**
     * @param list<int> $group
     *
     * @return float 0 where it is distributed as the class is
     */
    public function cost(array $group): float
    {
        $counts = array_fill(0, \count($this->weights), 0);
        $members = 0;
        foreach ($group as $student) {
            $rank = $this->ranks[$student] ?? null;
            if (null !== $rank) {
                ++$members;
                if (isset($counts[$rank])) {
                    ++$counts[$rank];
                }
            }
        }

        return $this->costOf($this->isNumber ? self::summedUp($counts) : $counts, $members);
    }

    /**
     * @param array<int, int> $counts  members at each level
     * @param int             $members with a value
     */
    public function costOf(array $counts, int $members): float
    {
        if (0 === $members) {
            return 0.0;
        }
        $cost = 0.0;
        foreach ($this->weights as $level => $weight) {
            $cost += $weight * ($counts[$level] - $members * $this->shares[$level]) ** 2;
        }

        return $cost / $members;
    }

    /**
     * The least that groups of these sizes can cost, each level taken alone: its students are handed out one by one to
     * the group that it costs least, which is best for a sum of convex costs (Gross, 1956).
     *
     * @param list<int> $sizes
     *
     * @return float 0 where somebody has no value: then a group may have any number of those who have one
     *
     * Complexity: O(levels · n · groups)
     */
    public function lowerBound(array $sizes): float
    {
        $sizes = array_values(array_filter($sizes, static fn (int $size): bool => $size > 0));
        if (\count($this->ranks) !== array_sum($sizes)) {
            return 0.0;
        }
        $bound = 0.0;
        foreach ($this->weights as $level => $weight) {
            $share = $this->shares[$level];
            // Whole parts first: up to its fair share rounded down a group only gains by one more.
            $counts = array_map(static fn (int $size): int => (int) floor($size * $share + 1e-9), $sizes);
            $left = (int) round($share * array_sum($sizes)) - array_sum($counts);
            while ($left-- > 0) {
                $best = null;
                $least = \INF;
                foreach ($sizes as $g => $size) {
                    // What one more costs: ((c + 1 − m·p)² − (c − m·p)²) / m.
                    $costs = (2 * ($counts[$g] - $size * $share) + 1) / $size;
                    if ($counts[$g] < $size && $costs < $least - 1e-12) {
                        [$best, $least] = [$g, $costs];
                    }
                }
                if (null === $best) {
                    break;
                }
                ++$counts[$best];
            }
            foreach ($sizes as $g => $size) {
                $bound += ($weight * ($counts[$g] - $size * $share) ** 2) / $size;
            }
        }

        return $bound;
    }

    /**
     * @param array<int, int> $counts by first level
     *
     * @return array<int, int> by level
     */
    private static function summedUp(array $counts): array
    {
        $sum = 0;

        return array_map(static function (int $count) use (&$sum): int {
            return $sum += $count;
        }, $counts);
    }

    private static function ofNumbers(Setting $setting, string $attribute): self
    {
        $values = [];
        foreach ($setting->students as $i => $student) {
            $value = $student->attributes[$attribute] ?? null;
            if (null !== $value && !\is_string($value)) {
                $values[$i] = (float) $value;
            }
        }
        $thresholds = self::thresholds(array_values($values));
        $largest = [] === $values ? 0.0 : max($values);
        $ranks = array_map(static function (float $value) use ($thresholds): int {
            [$low, $high] = [0, \count($thresholds)];
            while ($low < $high) {
                $middle = intdiv($low + $high, 2);
                $thresholds[$middle] < $value ? ($low = $middle + 1) : ($high = $middle);
            }

            return $low;
        }, $values);
        $gaps = $shares = [];
        foreach ($thresholds as $level => $threshold) {
            $gaps[] = ($thresholds[$level + 1] ?? $largest) - $threshold;
            $shares[] = \count(array_filter($ranks, static fn (int $rank): bool => $rank <= $level)) / \count($values);
        }

        return self::weighted($ranks, $gaps, $shares, true);
    }

    private static function ofValues(Setting $setting, string $attribute): self
    {
        [$codes, $counts] = $setting->codes($attribute);
        $all = max(1, \count($codes));

        return self::weighted(
            $codes,
            array_fill(0, \count($counts), 1.0),
            array_map(static fn (int $count): float => $count / $all, $counts),
            false,
        );
    }

    /**
     * @param array<int, int> $ranks
     * @param list<float>     $gaps
     * @param list<float>     $shares
     */
    private static function weighted(array $ranks, array $gaps, array $shares, bool $isNumber): self
    {
        $all = 0.0;
        foreach ($gaps as $level => $gap) {
            $all += $gap * $shares[$level] * (1.0 - $shares[$level]);
        }

        return $all <= 1e-12
            ? new self($ranks, [], [], $isNumber)
            : new self($ranks, array_map(static fn (float $gap): float => $gap / $all, $gaps), $shares, $isNumber);
    }

    /**
     * @param list<float> $values
     *
     * @return list<float> rising; the distinct values but the largest, or the 24-quantiles
     */
    private static function thresholds(array $values): array
    {
        sort($values);
        $distinct = array_values(array_unique($values));
        if (\count($distinct) > self::MOST_LEVELS) {
            $quantiles = array_map(
                static fn (int $i): float => $values[(int) ceil(($i * \count($values)) / self::MOST_LEVELS) - 1],
                range(1, self::MOST_LEVELS - 1),
            );
            $largest = end($distinct);

            return array_values(
                array_filter(array_unique($quantiles), static fn (float $value): bool => $value < $largest),
            );
        }

        return \array_slice($distinct, 0, -1);
    }
}
