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
 * Everybody who has wishes with at least one of those they wish for.
 */
final readonly class Wishes implements Goal
{
    use GoalOfGroups;

    /**
     * @param array<string, list<string>> $wishes id => ids; an empty list is no wish
     */
    public function __construct(public array $wishes, private float $weight = 1.0)
    {
    }

    public function groupCost(Setting $setting, array $group): float
    {
        return (float) \count($this->unmet($setting, $group));
    }

    /**
     * @param list<int> $group
     *
     * @return list<int> those of the group who have wishes and nobody of them here
     */
    public function unmet(Setting $setting, array $group): array
    {
        $members = array_map(static fn (int $i): string => $setting->students[$i]->id, $group);
        $unmet = [];
        foreach ($group as $at => $student) {
            $wished = $this->wishes[$members[$at]] ?? [];
            if ([] !== $wished && [] === array_diff(array_intersect($wished, $members), [$members[$at]])) {
                $unmet[] = $student;
            }
        }

        return $unmet;
    }

    /**
     * The share of those who have wishes and one of them fulfilled: full where everybody has.
     */
    public function degree(Setting $setting, array $groups): Degree
    {
        $members = array_merge(...$groups);
        $wishing = \count(
            array_filter($members, fn (int $i): bool => [] !== ($this->wishes[$setting->students[$i]->id] ?? [])),
        );
        $unmet = array_sum(array_map(fn (array $group): int => \count($this->unmet($setting, $group)), $groups));

        return Degree::counted(DegreeUnit::Students, $wishing - $unmet, $wishing);
    }

    private function roundBound(Setting $setting): float
    {
        return 0.0;
    }

    private function tally(Setting $setting): Tally
    {
        return new WishesTally($this->byNumber($setting));
    }

    /**
     * @return array<int, array<int, true>> of those who are in the class
     */
    private function byNumber(Setting $setting): array
    {
        $byNumber = [];
        foreach ($this->wishes as $id => $wished) {
            $i = $setting->index[$id] ?? null;
            if (null !== $i && [] !== $wished) {
                $byNumber[$i] = array_fill_keys(
                    array_values(array_intersect_key($setting->index, array_flip($wished))),
                    true,
                );
                unset($byNumber[$i][$i]);
            }
        }

        return $byNumber;
    }

    public function obstacle(Setting $setting, array $groups, NameList $named): ?Message
    {
        $unmet = array_merge(...array_map(fn (array $group): array => $this->unmet($setting, $group), $groups));

        return [] === $unmet
            ? null
            : new Message('grouping.obstacle.wishes', ['students' => NameList::some($named->students($unmet))]);
    }

    public function reason(Setting $setting, int $student, array $group, NameList $named): ?Message
    {
        $wishes = $this->wishes[$setting->students[$student]->id] ?? [];
        $wished = array_filter(
            $group,
            static fn (int $i): bool => $i !== $student && \in_array($setting->students[$i]->id, $wishes, true),
        );

        return [] === $wished
            ? null
            : new Message('grouping.reason.wishes', ['students' => $named->students($wished)]);
    }

    public static function read(Node $item, GoalContext $reading, float $weight): self
    {
        return new self($reading->wishes($item->child('wishes')), $weight);
    }
}
