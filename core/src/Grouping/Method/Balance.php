<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Method;

use FreshHuddle\Core\Grouping\Exception\ImpossibleShape;
use FreshHuddle\Core\Grouping\Exception\NoWayFound;
use FreshHuddle\Core\Grouping\Goal;
use FreshHuddle\Core\Grouping\Goal\NewPartners;
use FreshHuddle\Core\Grouping\Method;
use FreshHuddle\Core\Grouping\Problem;
use FreshHuddle\Core\Grouping\Result;
use FreshHuddle\Core\Grouping\Search\Annealing;
use FreshHuddle\Core\Grouping\Search\Arrangements;
use FreshHuddle\Core\Grouping\Search\Dice;
use FreshHuddle\Core\Grouping\Search\Exhaustive;
use FreshHuddle\Core\Grouping\Search\Limit;
use FreshHuddle\Core\Grouping\Search\Musts;
use FreshHuddle\Core\Grouping\Search\Report;
use FreshHuddle\Core\Grouping\Search\Rotation\Constructions;
use FreshHuddle\Core\Grouping\Search\Rotation\Sequences;
use FreshHuddle\Core\Grouping\Search\Setting;
use FreshHuddle\Core\Grouping\Search\Start;
use FreshHuddle\Core\Grouping\Search\StepLimit;

/**
 * Places by rules and goals, computed: small classes by looking at all arrangements, larger ones by local search from a
 * start that keeps the rules; rotations also from known constructions.
 */
final readonly class Balance implements Method
{
    /** Up to so many students the answer is the true optimum. */
    public const EXACT_UP_TO = 10;
    /** Rotations of so few arrangements are looked at in full. */
    private const MOST_ARRANGEMENTS = 12_000;
    /** Strides of the search that comes before it. */
    private const QUICK = 60;
    /** Ways to hand the places of a construction to students, to keep the rules. */
    private const HAND_OUTS = 400;

    public function solve(Problem $problem, Limit $limit): Result
    {
        $last = null;
        foreach ($this->improve($problem, $limit) as $result) {
            $last = $result;
        }
        \assert(null !== $last, 'There is a first result, or an exception.');

        return $last;
    }

    /**
     * @return \Generator<int, Result> a first answer at once, then better and better ones; the last is the best
     *
     * @throws ImpossibleShape
     * @throws NoWayFound
     */
    public function improve(Problem $problem, Limit $limit): \Generator
    {
        $shape = $problem->shape ?? throw ImpossibleShape::noGroup();
        $setting = Setting::fromProblem($problem, $shape);
        $report = new Report($problem, $setting);
        $musts = new Musts($setting, $problem->rules);
        if (0 === $setting->n) {
            yield $report->found(array_fill(0, $problem->rounds, []), true);

            return;
        }
        $dice = new Dice($problem->seed);
        if ($setting->n <= self::EXACT_UP_TO) {
            yield from $this->exact($problem, $setting, $musts, $report, $dice, $limit);

            return;
        }
        $rounds = $this->start($problem->rounds, $setting, $musts, $dice);
        if (null === $rounds) {
            yield $report->contradiction();

            return;
        }
        yield from $this->search(
            $problem,
            $setting,
            $musts,
            $report,
            $dice,
            $limit,
            $rounds,
            $report->bounds($problem->rounds),
        );
    }

    /**
     * Goes on from where an earlier search was stopped.
     *
     * @param list<list<list<string>>> $rounds groups of ids; if they do not fit the problem, the search begins anew
     *
     * @return \Generator<int, Result>
     *
     * @throws ImpossibleShape
     * @throws NoWayFound
     */
    public function resume(Problem $problem, array $rounds, Limit $limit): \Generator
    {
        $setting = Setting::fromProblem($problem, $problem->shape ?? throw ImpossibleShape::noGroup());
        $musts = new Musts($setting, $problem->rules);
        $numbers = self::fitting($rounds, $problem->rounds, $setting);
        if ($setting->n <= self::EXACT_UP_TO || null === $numbers || !$this->allKept($numbers, $musts)) {
            yield from $this->improve($problem, $limit);

            return;
        }
        $report = new Report($problem, $setting);
        yield from $this->search(
            $problem,
            $setting,
            $musts,
            $report,
            new Dice($problem->seed),
            $limit,
            $numbers,
            $report->bounds($problem->rounds),
        );
    }

    /**
     * @param list<list<list<string>>> $rounds
     *
     * @return list<list<list<int>>>|null null where somebody is missing, doubled or unknown, or a size is wrong
     */
    private static function fitting(array $rounds, int $wanted, Setting $setting): ?array
    {
        foreach ($rounds as $groups) {
            $ids = array_merge(...$groups);
            $sizes = array_map('count', $groups);
            rsort($sizes);
            if (
                $sizes !== $setting->sizes
                || \count(array_unique($ids)) !== \count($ids)
                || [] !== array_diff($ids, array_map(strval(...), array_keys($setting->index)))
            ) {
                return null;
            }
        }

        return \count($rounds) === $wanted
            ? array_map(static fn (array $groups): array => array_map($setting->numbersOf(...), $groups), $rounds)
            : null;
    }

    /**
     * Goes on from arrangements that keep the rules.
     *
     * @param list<list<list<int>>> $rounds
     * @param list<float>           $bounds
     *
     * @return \Generator<int, Result>
     */
    private function search(
        Problem $problem,
        Setting $setting,
        Musts $musts,
        Report $report,
        Dice $dice,
        Limit $limit,
        array $rounds,
        array $bounds,
    ): \Generator {
        $goals = self::driving($problem);
        $bound = 0.0;
        foreach ($goals as $number => $goal) {
            $bound += $goal->weight() * ($bounds[$number] ?? $goal->lowerBound($setting, \count($rounds)));
        }
        $annealing = new Annealing($setting, $musts, $goals, $dice, $limit);
        foreach ($annealing->improve($rounds, $bound) as $better) {
            $groups = array_map(
                static fn (array $arrangement): array => Report::largerFirst($arrangement, $musts),
                $better,
            );
            yield $report->found($groups, false, $bounds);
        }
    }

    /**
     * In a rotation, between arrangements that cost the same, the one in which fewer meet again.
     *
     * @return list<Goal>
     */
    private static function driving(Problem $problem): array
    {
        $weights = [0.0];
        foreach ($problem->goals as $goal) {
            $weights[] = $goal->weight();
            if ($goal instanceof NewPartners && $goal->weight() > 0.0) {
                return $problem->goals;
            }
        }
        if (1 === $problem->rounds) {
            return $problem->goals;
        }
        $most = max($weights);

        return [...$problem->goals, new NewPartners(0.0 === $most ? 1.0 : 1e-6 * $most)];
    }

    /**
     * @return list<list<list<int>>>|null arrangements that keep the rules; null where there are none
     *
     * @throws NoWayFound
     */
    private function start(int $rounds, Setting $setting, Musts $musts, Dice $dice): ?array
    {
        $start = $this->constructed($rounds, $setting, $musts, $dice);
        for ($round = \count($start); $round < $rounds; ++$round) {
            $found = (new Start($setting, $musts, $dice))->find();
            if (false === $found) {
                return null;
            }
            $start[] = $found ?? throw NoWayFound::toKeepAllRules();
        }

        return $start;
    }

    /**
     * As many rounds as are known in which nobody meets twice; none where there are not even two.
     *
     * @return list<list<list<int>>>
     */
    private function constructed(int $rounds, Setting $setting, Musts $musts, Dice $dice): array
    {
        $design = null;
        for ($some = min($rounds, $setting->n - 1); null === $design && $some > 1; --$some) {
            $design = (new Constructions())->rounds($setting->sizes, $some);
        }
        if (null === $design) {
            return [];
        }
        for ($try = 0; $try < self::HAND_OUTS; ++$try) {
            $students = $dice->shuffle(range(0, $setting->n - 1));
            $handedOut = array_map(
                static fn (array $groups): array => array_map(
                    static fn (array $group): array => array_map(
                        static fn (int $place): int => $students[$place],
                        $group,
                    ),
                    $groups,
                ),
                $design,
            );
            if ($this->allKept($handedOut, $musts)) {
                return $handedOut;
            }
        }

        return [];
    }

    /**
     * @param list<list<list<int>>> $rounds
     */
    private function allKept(array $rounds, Musts $musts): bool
    {
        foreach ($rounds as $groups) {
            $groupOf = [];
            foreach ($groups as $g => $group) {
                $groupOf += array_fill_keys($group, $g);
            }
            if (!$musts->areKeptBy($groupOf)) {
                return false;
            }
        }

        return true;
    }

    /**
     * @return \Generator<int, Result>
     */
    private function exact(
        Problem $problem,
        Setting $setting,
        Musts $musts,
        Report $report,
        Dice $dice,
        Limit $limit,
    ): \Generator {
        $separable = static function (array $group) use ($problem, $setting): float {
            /** @var list<int> $group */
            $cost = 0.0;
            foreach ($problem->goals as $goal) {
                $cost += $goal->weight() * $goal->groupCost($setting, $group);
            }

            return $cost;
        };
        $best = (new Exhaustive($setting, $musts, $separable))->solve();
        if (null === $best) {
            yield $report->contradiction();

            return;
        }
        $bounds = $this->exactBounds($problem, $setting, $musts);
        $groups = Report::largerFirst($best[0], $musts);
        if (1 === $problem->rounds) {
            yield $report->found([$groups], true, $bounds);

            return;
        }
        yield from $this->exactRotation(
            $problem,
            $setting,
            $musts,
            $report,
            $dice,
            $limit,
            $groups,
            $bounds,
            $separable,
        );
    }

    /**
     * A quick search for a good rotation, then all sequences of arrangements while the limit allows, then on with the
     * search where they were too many.
     *
     * @param list<list<int>>            $groups    the best of one round
     * @param list<float>                $bounds
     * @param callable(list<int>): float $separable
     *
     * @return \Generator<int, Result>
     */
    private function exactRotation(
        Problem $problem,
        Setting $setting,
        Musts $musts,
        Report $report,
        Dice $dice,
        Limit $limit,
        array $groups,
        array $bounds,
        callable $separable,
    ): \Generator {
        $weight = 0.0;
        foreach ($problem->goals as $goal) {
            $weight += $goal instanceof NewPartners ? $goal->weight() : 0.0;
        }
        // Where meetings cost nothing, each round at its best is the best; then among those the fewest meet again.
        yield $last = $report->found(array_fill(0, $problem->rounds, $groups), 0.0 === $weight, $bounds);
        $start = $this->start($problem->rounds, $setting, $musts, $dice) ?? array_fill(0, $problem->rounds, $groups);
        $quick = new StepLimit(self::QUICK);
        foreach ($this->search($problem, $setting, $musts, $report, $dice, $quick, $start, $bounds) as $result) {
            if (self::isBetter($result, $last)) {
                yield $last = $result;
            }
        }
        if ($last->proven && ($weight > 0.0 || 0 === $last->repeats)) {
            return;
        }
        $arrangements = (new Arrangements($setting, $musts))->all(self::MOST_ARRANGEMENTS);
        if (null !== $arrangements) {
            $costs = array_map(
                static fn (array $arrangement): float => array_sum(array_map($separable, $arrangement)),
                $arrangements,
            );
            [$better, $all] = $this->sequences($arrangements, $costs, $weight, $setting, $problem, $last, $limit);
            $last = $report->found($better ?? self::numbers($last, $setting), $last->proven || $all, $bounds);
            yield $last;
            if ($all) {
                return;
            }
        }
        $numbers = self::numbers($last, $setting);
        foreach ($this->search($problem, $setting, $musts, $report, $dice, $limit, $numbers, $bounds) as $result) {
            if (self::isBetter($result, $last)) {
                yield $last = $result;
            }
        }
    }

    /**
     * @param list<list<list<int>>> $arrangements
     * @param list<float>           $costs        of each, history included
     *
     * @return array{list<list<list<int>>>|null, bool} a better rotation, if there is one; and whether all were looked
     *     at
     */
    private function sequences(
        array $arrangements,
        array $costs,
        float $weight,
        Setting $setting,
        Problem $problem,
        Result $last,
        Limit $limit,
    ): array {
        if ($weight > 0.0) {
            return (new Sequences($arrangements, $costs, $weight, $setting->n))->better(
                $problem->rounds,
                $last->cost,
                $limit,
            );
        }
        $least = [] === $costs ? 0.0 : min($costs);
        $best = array_filter($costs, static fn (float $cost): bool => $cost <= $least + 1e-9);
        $alike = array_values(array_intersect_key($arrangements, $best));
        // The third meeting of a pair counts twice here, so that this many and one more is a safe start.
        $met = NewPartners::repeats(self::numbers($last, $setting), true) + 1.0;

        return (new Sequences($alike, array_fill(0, \count($alike), 0.0), 1.0, $setting->n))->better(
            $problem->rounds,
            $met,
            $limit,
        );
    }

    private static function isBetter(Result $result, Result $other): bool
    {
        return $result->cost < $other->cost - 1e-9
            || ($result->cost <= $other->cost + 1e-9 && $result->repeats < $other->repeats);
    }

    /**
     * @return list<list<list<int>>>
     */
    private static function numbers(Result $result, Setting $setting): array
    {
        return array_map(
            static fn (array $round): array => array_map($setting->numbersOf(...), $round),
            $result->rounds,
        );
    }

    /**
     * The least each goal can cost by itself under the rules.
     *
     * @return list<float>
     */
    private function exactBounds(Problem $problem, Setting $setting, Musts $musts): array
    {
        return array_map(static function (Goal $goal) use ($problem, $setting, $musts): float {
            $alone = (new Exhaustive(
                $setting,
                $musts,
                static fn (array $group): float => $goal->groupCost($setting, $group),
            ))->solve();

            return max($problem->rounds * ($alone[1] ?? 0.0), $goal->lowerBound($setting, $problem->rounds));
        }, $problem->goals);
    }
}
