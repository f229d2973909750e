<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Method;

use FreshHuddle\Core\Grouping\Conflict;
use FreshHuddle\Core\Grouping\Exception\ImpossibleShape;
use FreshHuddle\Core\Grouping\Method;
use FreshHuddle\Core\Grouping\MethodKind;
use FreshHuddle\Core\Grouping\Problem;
use FreshHuddle\Core\Grouping\Result;
use FreshHuddle\Core\Grouping\Rule;
use FreshHuddle\Core\Grouping\Rule\NotIn;
use FreshHuddle\Core\Grouping\Rule\Seat;
use FreshHuddle\Core\Grouping\Rule\Together;
use FreshHuddle\Core\Grouping\Search\Exhaustive;
use FreshHuddle\Core\Grouping\Search\Limit;
use FreshHuddle\Core\Grouping\Search\Musts;
use FreshHuddle\Core\Grouping\Search\Report;
use FreshHuddle\Core\Grouping\Search\Setting;
use FreshHuddle\Core\Grouping\Shape\Exactly;
use FreshHuddle\Core\Message;

/**
 * Smaller groups inside groups that are there: nobody leaves theirs. The parts come in the order of the groups they lie
 * in, numbered on from one to the next. Since what a part costs depends on its members alone, each group is split by
 * itself; up to ten students, in the best way there is.
 */
final readonly class Split implements Method
{
    private const EXACT = 10;

    public function solve(Problem $problem, Limit $limit): Result
    {
        $shape = $problem->shape ?? throw ImpossibleShape::noGroup();
        $all = [];
        $sizes = [];
        foreach ($problem->within as $group) {
            if ([] !== $group) {
                $sizes[] = $shape->sizes(\count($group));
                array_push($all, ...$group);
            }
        }
        $setting = new Setting(
            $problem->students,
            (new Exactly(array_merge(...$sizes)))->sizes(\count($all)),
            $problem->history,
        );
        $unplaced = array_values(array_diff(array_map(strval(...), array_keys($setting->index)), $all));
        $conflicts = self::acrossGroups($problem);
        $rounds = [];
        $proven = 1 === $problem->rounds;
        while ([] === $conflicts && \count($rounds) < $problem->rounds) {
            $round = [];
            foreach (array_values(array_filter($problem->within)) as $number => $group) {
                [$parts, $own, $exact] = $this->part(
                    $problem,
                    $setting,
                    $rounds,
                    $group,
                    $sizes[$number],
                    \count($round),
                    $limit,
                );
                $round = [...$round, ...$parts];
                $conflicts = [...$conflicts, ...$own];
                $proven = $proven && $exact;
            }
            $rounds[] = $round;
        }
        if ([] !== $conflicts) {
            return new Result(
                $problem->seed,
                unplaced: array_map(strval(...), array_keys($setting->index)),
                conflicts: $conflicts,
            );
        }

        // A bound for the whole class says little of its parts.
        return (new Report($problem, $setting))
            ->found($rounds, $proven, array_fill(0, \count($problem->goals), 0.0))
            ->with(unplaced: $unplaced);
    }

    /**
     * @param list<list<list<int>>> $earlier rounds that are split already
     * @param list<string>          $ids     of one group
     * @param list<int>             $sizes   of its parts
     * @param int                   $before  how many parts come before its own
     *
     * @return array{list<list<int>>, list<Conflict>, bool} parts by numbers of the whole class; or what contradicts;
     *     whether no better way is possible
     */
    private function part(
        Problem $problem,
        Setting $setting,
        array $earlier,
        array $ids,
        array $sizes,
        int $before,
        Limit $limit,
    ): array {
        $own = new Setting(
            array_map(static fn (string $id) => $setting->students[$setting->index[$id]], $ids),
            $sizes,
        );
        [$rules, $numbers] = self::rulesOf($problem, $ids, $before, \count($sizes));
        if ($own->n <= self::EXACT) {
            $found = (new Exhaustive(
                $own,
                new Musts($own, $rules),
                static fn (array $group): float => self::cost(
                    $problem,
                    $setting,
                    $earlier,
                    self::inClass($setting, $own, $group),
                ),
            ))->solve();
            if (null !== $found) {
                return [
                    array_map(static fn (array $group): array => self::inClass($setting, $own, $group), $found[0]),
                    [],
                    true,
                ];
            }
        }
        $alone = new Problem(
            $own->students,
            new Exactly($sizes),
            MethodKind::Balance,
            1,
            $rules,
            $problem->goals,
            [...$problem->history, ...array_map($setting->idsOf(...), $earlier)],
            $problem->seed,
            $problem->timeLimitMs,
        );
        $result = (new Balance())->solve($alone, $limit);
        $conflicts = array_map(
            static fn (Conflict $conflict): Conflict => new Conflict(
                array_values(array_map(static fn (int $rule): int => $numbers[$rule], $conflict->rules)),
                $conflict->message,
            ),
            $result->conflicts,
        );
        $parts = array_map(
            static fn (array $group): array => array_map(static fn (string $id): int => $setting->index[$id], $group),
            $result->rounds[0] ?? [],
        );

        return [$parts, $conflicts, false];
    }

    /**
     * @param list<int> $group by the numbers of its own group
     *
     * @return list<int> by the numbers of the class
     */
    private static function inClass(Setting $setting, Setting $own, array $group): array
    {
        return array_map(static fn (int $i): int => $setting->index[$own->students[$i]->id], $group);
    }

    /**
     * @param list<list<list<int>>> $earlier
     * @param list<int>             $group
     */
    private static function cost(Problem $problem, Setting $setting, array $earlier, array $group): float
    {
        $cost = 0.0;
        foreach ($problem->goals as $goal) {
            $cost +=
                $goal->weight() *
                ($goal->groupCost($setting, $group) +
                    ([] === $earlier ? 0.0 : $goal->meetingsCost($setting, [...$earlier, [$group]])));
        }

        return $cost;
    }

    /**
     * The rules that speak of a group's own students, with groups counted from its first part.
     *
     * @param list<string> $ids
     *
     * @return array{list<Rule>, list<int>} and their numbers in the problem
     */
    private static function rulesOf(Problem $problem, array $ids, int $before, int $parts): array
    {
        $isPresent = array_fill_keys($ids, true);
        $rules = $numbers = [];
        foreach ($problem->rules as $number => $rule) {
            $rule = $rule->among($isPresent);
            if ($rule instanceof Seat) {
                $rule = new Seat($rule->student, $rule->group - $before);
            } elseif ($rule instanceof NotIn) {
                $rule =
                    $rule->group > $before && $rule->group <= $before + $parts
                        ? new NotIn($rule->student, $rule->group - $before)
                        : null;
            }
            if (null !== $rule) {
                $rules[] = $rule;
                $numbers[] = $number;
            }
        }

        return [$rules, $numbers];
    }

    /**
     * Who sits in different groups cannot come together by splitting them; nor can anybody go to a part of another
     * group.
     *
     * @return list<Conflict>
     */
    private static function acrossGroups(Problem $problem): array
    {
        $groupOf = $partsOf = [];
        $parts = 0;
        foreach (array_values(array_filter($problem->within)) as $number => $group) {
            $groupOf += array_fill_keys($group, $number);
            $more = \count($problem->shape?->sizes(\count($group)) ?? []);
            $partsOf[$number] = [$parts + 1, $parts + $more];
            $parts += $more;
        }
        $labels = $problem->labels();
        $name = static fn (string $id): string => $labels[$id] ?? $id;
        $conflicts = [];
        foreach ($problem->rules as $number => $rule) {
            $there = array_values(
                array_unique(array_intersect_key($groupOf, array_fill_keys($rule->students(), true))),
            );
            $outside =
                $rule instanceof Seat
                && isset($there[0])
                && ($rule->group < $partsOf[$there[0]][0] || $rule->group > $partsOf[$there[0]][1]);
            if ($outside || ($rule instanceof Together && \count($there) > 1)) {
                $conflicts[] = new Conflict(
                    [$number],
                    new Message('grouping.conflict.across', ['rule' => $rule->inWords($name)]),
                );
            }
        }

        return $conflicts;
    }
}
