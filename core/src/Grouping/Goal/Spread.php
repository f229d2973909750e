<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Goal;

use FreshHuddle\Core\Grouping\Explain\Degree;
use FreshHuddle\Core\Grouping\Explain\Named;
use FreshHuddle\Core\Grouping\Format\GoalReading;
use FreshHuddle\Core\Grouping\Format\Node;
use FreshHuddle\Core\Grouping\Goal;
use FreshHuddle\Core\Grouping\Search\Drawn;
use FreshHuddle\Core\Grouping\Search\Setting;
use FreshHuddle\Core\Grouping\Search\Tally;
use FreshHuddle\Core\Message;

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

    /**
     * Full where no groups of these sizes can be more like the class, empty where they are as a deal at random on average.
     */
    public function degree(Setting $setting, array $groups): Degree
    {
        $groups = array_filter($groups);
        $cost = array_sum(array_map(fn (array $group): float => $this->groupCost($setting, $group), $groups));

        return Degree::between($cost, $this->roundBound($setting), array_sum(array_map(fn (array $group): float => $this->expected($setting, \count($group)), $groups)));
    }

    /**
     * What a group of this size costs on average when it is dealt. Numbers: of m with a value of v, the mean of m drawn from
     * v without putting back has the variance σ²/m · (v − m)/(v − 1), so m · that over σ².
     */
    private function expected(Setting $setting, int $size): float
    {
        $scores = $setting->scores($this->attribute);
        if (null === $scores) {
            $sum = 0.0;
            foreach ($setting->codes($this->attribute)[1] as $count) {
                [$least, $most] = self::share($count, $size, $setting->n);
                $sum += Drawn::mean($setting->n, $count, $size, static fn (int $here): float => (float) max(0, $least - $here, $here - $most));
            }

            return $sum;
        }
        $valued = \count($scores);
        $varies = [] !== array_filter($scores, static fn (float $score): bool => abs($score) > 1e-12);

        return $valued < 2 || !$varies ? 0.0 : Drawn::mean($setting->n, $valued, $size, static fn (int $m): float => $m < 1 ? 0.0 : ($valued - $m) / ($valued - 1));
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

    public function obstacle(Setting $setting, array $groups, Named $named): ?Message
    {
        if (null === $setting->scores($this->attribute)) {
            $names = $named->costliest(array_map(fn (array $group): float => [] === $group ? 0.0 : $this->groupCost($setting, $group), $groups));

            return [] === $names ? null : new Message('grouping.obstacle.spread_values', ['attribute' => $this->attribute, 'groups' => Named::some($names)]);
        }
        $means = array_filter(array_map(fn (array $group): ?float => $this->mean($setting, $group), $groups), static fn (?float $mean): bool => null !== $mean);
        if ([] === $means) {
            return null;
        }
        asort($means);
        [$low, $high] = [array_key_first($means), array_key_last($means)];

        return new Message('grouping.obstacle.spread', ['high' => $named->group($high), 'most' => $means[$high], 'low' => $named->group($low), 'least' => $means[$low]]);
    }

    public function reason(Setting $setting, int $student, array $group, Named $named): ?Message
    {
        $value = $setting->students[$student]->attributes[$this->attribute] ?? null;

        return null === $value || \is_string($value)
            ? null
            : new Message('grouping.reason.spread', ['attribute' => $this->attribute, 'value' => (string) $value, 'mean' => $this->mean($setting, $group) ?? 0.0]);
    }

    /**
     * @param list<int> $group
     */
    private function mean(Setting $setting, array $group): ?float
    {
        $values = [];
        foreach ($group as $i) {
            $value = $setting->students[$i]->attributes[$this->attribute] ?? null;
            if (null !== $value && !\is_string($value)) {
                $values[] = (float) $value;
            }
        }

        return [] === $values ? null : array_sum($values) / \count($values);
    }

    public static function read(Node $item, GoalReading $reading, float $weight): self
    {
        return new self($reading->name($item->at('attribute')), $weight);
    }
}
