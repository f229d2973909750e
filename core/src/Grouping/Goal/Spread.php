<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Goal;

use FreshHuddle\Core\Grouping\Goal;
use FreshHuddle\Core\Grouping\Search\Setting;
use FreshHuddle\Core\Grouping\Search\Tally;

/**
 * Every group like the class as a whole: numbers by their mean, anything else by how often each value comes up.
 */
final readonly class Spread implements Goal
{
    use GoalOfGroups;

    public function __construct(public string $attribute, private float $weight = 1.0)
    {
    }

    public function groupCost(Setting $setting, array $group): float
    {
        $scores = $setting->scores($this->attribute);

        return null === $scores ? $this->countsCost($setting, $group) : self::meanCost($scores, $group);
    }

    /**
     * |g| · (mean_g − mean)² / variance, in standard scores (Σz)² / |g|.
     *
     * @param array<int, float> $scores
     * @param list<int>         $group
     */
    private static function meanCost(array $scores, array $group): float
    {
        $own = array_intersect_key($scores, array_flip($group));

        return [] === $own ? 0.0 : array_sum($own) ** 2 / \count($own);
    }

    /**
     * @param list<int> $group
     */
    private function countsCost(Setting $setting, array $group): float
    {
        [$codes, $counts] = $setting->codes($this->attribute);
        $here = array_count_values(array_intersect_key($codes, array_flip($group)));
        $cost = 0;
        foreach ($counts as $code => $count) {
            [$least, $most] = self::share($count, \count($group), $setting->n);
            $cost += max(0, $least - ($here[$code] ?? 0), ($here[$code] ?? 0) - $most);
        }

        return (float) $cost;
    }

    /**
     * A group's fair share of a value, rounded down and up.
     *
     * @return array{int, int}
     */
    public static function share(int $count, int $size, int $students): array
    {
        $least = intdiv($count * $size, $students);

        return [$least, 0 === ($count * $size) % $students ? $least : $least + 1];
    }

    private function roundBound(Setting $setting): float
    {
        return 0.0;
    }

    private function tally(Setting $setting): Tally
    {
        $scores = $setting->scores($this->attribute);

        return null === $scores ? new SharesTally($setting, $this->attribute) : new ScoresTally($scores, 1.0);
    }
}
