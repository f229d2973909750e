<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Goal;

use FreshHuddle\Core\Grouping\Explain\Degree;
use FreshHuddle\Core\Grouping\Explain\NameList;
use FreshHuddle\Core\Grouping\Format\GoalContext;
use FreshHuddle\Core\Grouping\Format\Node;
use FreshHuddle\Core\Grouping\Goal;
use FreshHuddle\Core\Grouping\Search\Drawn;
use FreshHuddle\Core\Grouping\Search\Setting;
use FreshHuddle\Core\Grouping\Search\Tally;
use FreshHuddle\Core\Message;

/**
 * Like with like: numbers close to their group's mean, anything else in groups of one value.
 */
final readonly class Alike implements Goal
{
    use GoalOfGroups;

    public function __construct(public string $attribute, private float $weight = 1.0)
    {
    }

    public function groupCost(Setting $setting, array $group): float
    {
        $scores = $setting->scores($this->attribute);
        if (null === $scores) {
            $counts = array_count_values(array_intersect_key($setting->codes($this->attribute)[0], array_flip($group)));

            return (float) (self::pairs((int) array_sum($counts)) - array_sum(array_map(self::pairs(...), $counts)));
        }
        $own = array_intersect_key($scores, array_flip($group));
        $squares = array_sum(array_map(static fn (float $score): float => $score ** 2, $own));

        return [] === $own ? 0.0 : max(0.0, $squares - array_sum($own) ** 2 / \count($own));
    }

    private static function pairs(int $students): int
    {
        return intdiv($students * ($students - 1), 2);
    }

    /**
     * Full where no groups of these sizes can be more alike, empty where they are as a deal at random on average.
     */
    public function degree(Setting $setting, array $groups): Degree
    {
        $groups = array_filter($groups);
        $cost = array_sum(array_map(fn (array $group): float => $this->groupCost($setting, $group), $groups));

        return Degree::between(
            $cost,
            $this->roundBound($setting),
            array_sum(array_map(fn (array $group): float => $this->expected($setting, \count($group)), $groups)),
        );
    }

    /**
     * What a group of this size costs on average when it is dealt. Numbers: of m with a value of v, (m − 1) times the
     * variance of the v with v − 1 below the line. Other values: the pairs of the m, times how likely a pair differs.
     */
    private function expected(Setting $setting, int $size): float
    {
        $scores = $setting->scores($this->attribute);
        if (null !== $scores) {
            $valued = \count($scores);
            $varies = [] !== array_filter($scores, static fn (float $score): bool => abs($score) > 1e-12);

            return $valued < 2 || !$varies
                ? 0.0
                : Drawn::mean(
                    $setting->n,
                    $valued,
                    $size,
                    static fn (int $m): float => $m < 1 ? 0.0 : (($m - 1) * $valued) / ($valued - 1),
                );
        }
        [$codes, $counts] = $setting->codes($this->attribute);
        $valued = \count($codes);
        if ($valued < 2) {
            return 0.0;
        }
        $differ = 1.0 - array_sum(array_map(self::pairs(...), $counts)) / self::pairs($valued);

        return Drawn::mean($setting->n, $valued, $size, static fn (int $m): float => $differ * self::pairs($m));
    }

    /**
     * Where everybody has a value. Numbers: some division of the sorted list into runs is best (a convex function of
     * the groups' sums is greatest at a corner of their polytope, and corners are runs: Hwang and Rothblum, 2012).
     * Other values: as if each value had the largest groups to itself.
     */
    private function roundBound(Setting $setting): float
    {
        $scores = $setting->scores($this->attribute);
        if (null !== $scores) {
            return \count($scores) === $setting->n && \count(array_unique($setting->sizes)) <= 2
                ? self::bestRuns(array_values($scores), $setting->sizes)
                : 0.0;
        }
        [$codes, $counts] = $setting->codes($this->attribute);
        if (\count($codes) < $setting->n) {
            return 0.0;
        }
        $alike = 0;
        foreach ($counts as $left) {
            foreach ($setting->sizes as $size) {
                $alike += self::pairs(min($left, $size));
                $left -= min($left, $size);
            }
        }

        return (float) max(0, array_sum(array_map(self::pairs(...), $setting->sizes)) - $alike);
    }

    /**
     * Complexity: O(k²) after sorting, for k groups of two sizes.
     *
     * @param list<float> $scores
     * @param list<int>   $sizes  larger first
     */
    private static function bestRuns(array $scores, array $sizes): float
    {
        sort($scores);
        $sums = $squares = [0.0];
        foreach ($scores as $i => $score) {
            $sums[] = $sums[$i] + $score;
            $squares[] = $squares[$i] + $score ** 2;
        }
        if ([] === $sizes) {
            return 0.0;
        }
        $large = $sizes[0];
        $small = end($sizes);
        $larger = $small === $large ? 0 : \count(array_keys($sizes, $large, true));
        $smaller = \count($sizes) - $larger;
        $run = static fn (int $from, int $size): float => $squares[$from + $size] -
            $squares[$from] -
            ($sums[$from + $size] - $sums[$from]) ** 2 / $size;
        $best = [];
        for ($l = 0; $l <= $larger; ++$l) {
            for ($s = 0; $s <= $smaller; ++$s) {
                $from = $l * $large + $s * $small;
                $best[$l][$s] = min(
                    0 === $l + $s ? 0.0 : \INF,
                    0 === $l ? \INF : $best[$l - 1][$s] + $run($from - $large, $large),
                    0 === $s ? \INF : $best[$l][$s - 1] + $run($from - $small, $small),
                );
            }
        }

        return max(0.0, $best[$larger][$smaller]);
    }

    private function tally(Setting $setting): Tally
    {
        $scores = $setting->scores($this->attribute);

        return null === $scores ? new PairsTally($setting, $this->attribute) : new ScoresTally($scores);
    }

    public function obstacle(Setting $setting, array $groups, NameList $named): ?Message
    {
        $names = $named->costliest(
            array_map(fn (array $group): float => [] === $group ? 0.0 : $this->groupCost($setting, $group), $groups),
        );

        return [] === $names
            ? null
            : new Message('grouping.obstacle.alike', [
                'attribute' => $this->attribute,
                'groups' => NameList::some($names),
            ]);
    }

    public function reason(Setting $setting, int $student, array $group, NameList $named): null
    {
        return null;
    }

    public static function read(Node $item, GoalContext $reading, float $weight): self
    {
        return new self($reading->name($item->child('attribute')), $weight);
    }
}
