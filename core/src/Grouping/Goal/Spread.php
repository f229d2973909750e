<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Goal;

use FreshHuddle\Core\Grouping\Explain\Bands;
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
 * Every group like the class as a whole: not its mean alone, but how its values are distributed. See Distribution.
 */
final readonly class Spread implements Goal
{
    use GoalOfGroups;

    public function __construct(public string $attribute, private float $weight = 1.0)
    {
    }

    public function groupCost(Setting $setting, array $group): float
    {
        return $setting->distribution($this->attribute)->cost($group);
    }

    /**
     * Full where no groups of these sizes can be more like the class, empty where they are as a deal at random on
     * average.
     */
    public function degree(Setting $setting, array $groups): Degree
    {
        $groups = array_values(array_filter($groups));
        $cost = array_sum(array_map(fn (array $group): float => $this->groupCost($setting, $group), $groups));

        return Degree::between(
            $cost,
            $this->roundBound($setting),
            array_sum(array_map(fn (array $group): float => $this->expected($setting, \count($group)), $groups)),
        );
    }

    /**
     * What a group of this size costs on average when it is dealt: the share at a level of m drawn from v without
     * putting back has the variance F(1 − F)/m · (v − m)/(v − 1), whatever the level.
     */
    private function expected(Setting $setting, int $size): float
    {
        $distribution = $setting->distribution($this->attribute);
        $valued = \count($distribution->ranks);

        return $valued < 2 || [] === $distribution->weights
            ? 0.0
            : Drawn::mean(
                $setting->n,
                $valued,
                $size,
                static fn (int $m): float => $m < 1 ? 0.0 : ($valued - $m) / ($valued - 1),
            );
    }

    private function roundBound(Setting $setting): float
    {
        return $setting->distribution($this->attribute)->lowerBound($setting->sizes);
    }

    private function tally(Setting $setting): Tally
    {
        return new DistributionTally($setting->distribution($this->attribute));
    }

    public function summary(Setting $setting, array $groups, NameList $named): ?Message
    {
        return Bands::forAttribute($setting, $this->attribute)?->summary($groups, $named);
    }

    public function obstacle(Setting $setting, array $groups, NameList $named): ?Message
    {
        $exceptions = Bands::forAttribute($setting, $this->attribute)?->exceptions(array_filter($groups), $named) ?? [];
        if ([] !== $exceptions) {
            return new Message('grouping.obstacle.exceptions', [
                'exceptions' => \array_slice(array_values($exceptions), 0, 3),
            ]);
        }
        $names = $named->costliest(
            array_map(fn (array $group): float => [] === $group ? 0.0 : $this->groupCost($setting, $group), $groups),
        );

        return [] === $names
            ? null
            : new Message('grouping.obstacle.spread_values', [
                'attribute' => $this->attribute,
                'groups' => NameList::some($names),
            ]);
    }

    public function reason(Setting $setting, int $student, array $group, NameList $named): ?Message
    {
        $value = $setting->students[$student]->attributes[$this->attribute] ?? null;

        return null === $value || \is_string($value)
            ? null
            : new Message('grouping.reason.spread', [
                'attribute' => $this->attribute,
                'value' => (string) $value,
                'mean' => $this->mean($setting, $group) ?? 0.0,
            ]);
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

    public static function read(Node $item, GoalContext $reading, float $weight): self
    {
        return new self($reading->name($item->child('attribute')), $weight);
    }
}
