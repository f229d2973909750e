<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Goal;

use FreshHuddle\Core\Grouping\Explain\Degree;
use FreshHuddle\Core\Grouping\Explain\DegreeUnit;
use FreshHuddle\Core\Grouping\Explain\NameList;
use FreshHuddle\Core\Grouping\Format\GoalContext;
use FreshHuddle\Core\Grouping\Format\Node;
use FreshHuddle\Core\Grouping\Goal;
use FreshHuddle\Core\Grouping\Search\Setting;
use FreshHuddle\Core\Grouping\Search\Tally;
use FreshHuddle\Core\Message;

/**
 * Nobody the only one of their value in their group, where somebody else in the class shares it.
 */
final readonly class NotAlone implements Goal
{
    use GoalOfGroups;

    public function __construct(public string $attribute, private float $weight = 1.0)
    {
    }

    public function groupCost(Setting $setting, array $group): float
    {
        [$codes, $counts] = $setting->codes($this->attribute);
        $alone = 0;
        foreach (array_count_values(array_intersect_key($codes, array_flip($group))) as $code => $count) {
            $alone += 1 === $count && $counts[$code] >= 2 ? 1 : 0;
        }

        return (float) $alone;
    }

    /**
     * The share of those who could be alone of their value and are not: full where nobody is.
     */
    public function degree(Setting $setting, array $groups): Degree
    {
        [$codes, $counts] = $setting->codes($this->attribute);
        $could = \count(
            array_filter(
                array_intersect_key($codes, array_flip(array_merge(...$groups))),
                static fn (int $code): bool => $counts[$code] >= 2,
            ),
        );
        $alone = array_sum(
            array_map(fn (array $group): float => $this->groupCost($setting, $group), array_filter($groups)),
        );

        return Degree::counted(DegreeUnit::Students, $could - (int) $alone, $could);
    }

    private function roundBound(Setting $setting): float
    {
        return 0.0;
    }

    private function tally(Setting $setting): Tally
    {
        return new AloneTally($setting, $this->attribute);
    }

    public function obstacle(Setting $setting, array $groups, NameList $named): ?Message
    {
        $alone = [];
        foreach ($groups as $group) {
            $byValue = [];
            foreach ($group as $student) {
                $value = $setting->students[$student]->attributes[$this->attribute] ?? null;
                if (null !== $value) {
                    $byValue[(string) $value][] = $student;
                }
            }
            foreach ($byValue as $value => $students) {
                if (1 === \count($students) && $this->groupCost($setting, $students) > 0.0) {
                    $alone[] = new Message('grouping.with_value', [
                        'student' => $named->student($students[0]),
                        'value' => $value,
                    ]);
                }
            }
        }

        return [] === $alone ? null : new Message('grouping.obstacle.not_alone', ['students' => NameList::some($alone)]);
    }

    public function reason(Setting $setting, int $student, array $group, NameList $named): ?Message
    {
        $value = $setting->students[$student]->attributes[$this->attribute] ?? null;
        $same = array_filter(
            $group,
            fn (int $i): bool => $i !== $student
                && ($setting->students[$i]->attributes[$this->attribute] ?? null) === $value,
        );

        return match (true) {
            null === $value => null,
            [] === $same => new Message('grouping.reason.alone', [
                'attribute' => $this->attribute,
                'value' => (string) $value,
            ]),
            default => new Message('grouping.reason.not_alone', [
                'attribute' => $this->attribute,
                'value' => (string) $value,
                'students' => $named->students($same),
            ]),
        };
    }

    public static function read(Node $item, GoalContext $reading, float $weight): self
    {
        return new self($reading->valuesName($item->child('attribute')), $weight);
    }
}
