<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Method;

use FreshHuddle\Core\Grouping\Conflict;
use FreshHuddle\Core\Grouping\Exception\ImpossibleShape;
use FreshHuddle\Core\Grouping\Goal;
use FreshHuddle\Core\Grouping\Method;
use FreshHuddle\Core\Grouping\Problem;
use FreshHuddle\Core\Grouping\Result;
use FreshHuddle\Core\Grouping\Rule;
use FreshHuddle\Core\Grouping\Rule\Apart;
use FreshHuddle\Core\Grouping\Search\Arrangements;
use FreshHuddle\Core\Grouping\Search\Limit;
use FreshHuddle\Core\Grouping\Search\Musts;
use FreshHuddle\Core\Grouping\Search\PairwiseMerge;
use FreshHuddle\Core\Grouping\Search\Report;
use FreshHuddle\Core\Grouping\Search\Setting;
use FreshHuddle\Core\Message;

/**
 * Snowball, or pyramid discussion (Jordan, 1990): pairs, then fours, then eights. The first round is balanced; in each
 * that follows groups join two by two, and an odd one out joins the smallest. Who joins whom is chosen by the goals.
 * Rules about groups by number speak of the first round. It ends when there is one group, however many rounds were
 * asked for.
 */
final readonly class Snowball implements Method
{
    /** Up to so many students the best of all ways is found. */
    private const EXACT = 10;
    private const MOST_WAYS = 20_000;

    public function solve(Problem $problem, Limit $limit): Result
    {
        $setting = Setting::fromProblem($problem, $problem->shape ?? throw ImpossibleShape::noGroup());
        $joining = new PairwiseMerge(
            static fn (array $group): float => self::cost($problem, $setting, $group),
            self::apart($problem, $setting),
        );
        $report = new Report($problem, $setting);
        if ($setting->n <= self::EXACT) {
            $ways = (new Arrangements($setting, new Musts($setting, $problem->rules)))->all(self::MOST_WAYS);
            $best = null;
            foreach ($ways ?? [] as $way) {
                $rounds = $this->roll($joining, $way, $problem->rounds);
                $cost = null === $rounds ? \INF : self::costOf($problem, $setting, $rounds);
                if (null !== $rounds && (null === $best || $cost < $best[1])) {
                    $best = [$rounds, $cost];
                }
            }
            // Each joining is the best for its own round; with more than two rounds that need not be the best for all.
            if (null !== $best) {
                return $report->found(
                    $best[0],
                    null !== $ways && $problem->rounds <= 2,
                    array_fill(0, \count($problem->goals), 0.0),
                );
            }
        }
        $first = (new Balance())->solve($problem->balancedOnce(), $limit);
        if (!$first->keepsAllRules()) {
            return $first;
        }
        $rounds = $this->roll($joining, array_map($setting->numbersOf(...), $first->rounds[0]), $problem->rounds);
        if (null === $rounds) {
            $apart = array_keys(array_filter($problem->rules, static fn (Rule $rule): bool => $rule instanceof Apart));

            return $first->with(
                rounds: [],
                unplaced: array_map(strval(...), array_keys($setting->index)),
                conflicts: [new Conflict($apart, new Message('grouping.conflict.joining'))],
            );
        }

        return $report->found($rounds, false, array_fill(0, \count($problem->goals), 0.0));
    }

    /**
     * @param list<list<int>> $groups
     *
     * @return list<list<list<int>>>|null null where the rules leave no way to join them
     */
    private function roll(PairwiseMerge $joining, array $groups, int $rounds): ?array
    {
        $all = [$groups];
        while (\count($all) < $rounds && \count($groups) > 1) {
            $groups = $joining->join($groups);
            if (null === $groups) {
                return null;
            }
            $all[] = $groups;
        }

        return $all;
    }

    /**
     * @param list<int> $group
     */
    private static function cost(Problem $problem, Setting $setting, array $group): float
    {
        return array_sum(
            array_map(
                static fn (Goal $goal): float => $goal->weight() * $goal->groupCost($setting, $group),
                $problem->goals,
            ),
        );
    }

    /**
     * @param list<list<list<int>>> $rounds
     */
    private static function costOf(Problem $problem, Setting $setting, array $rounds): float
    {
        $cost = 0.0;
        foreach ($problem->goals as $goal) {
            $cost += $goal->weight() * $goal->meetingsCost($setting, $rounds);
        }
        foreach (array_merge(...$rounds) as $group) {
            $cost += self::cost($problem, $setting, $group);
        }

        return $cost;
    }

    /**
     * @return list<list<int>> sets of students of whom no two may share a group
     */
    private static function apart(Problem $problem, Setting $setting): array
    {
        return (new Musts(
            $setting,
            array_filter($problem->rules, static fn (Rule $rule): bool => $rule instanceof Apart),
        ))->apart;
    }
}
