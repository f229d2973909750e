<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Method;

use FreshHuddle\Core\Grouping\Exception\ImpossibleShape;
use FreshHuddle\Core\Grouping\Exception\NoWayFound;
use FreshHuddle\Core\Grouping\Method;
use FreshHuddle\Core\Grouping\Problem;
use FreshHuddle\Core\Grouping\Result;
use FreshHuddle\Core\Grouping\Search\Board;
use FreshHuddle\Core\Grouping\Search\Dice;
use FreshHuddle\Core\Grouping\Search\Limit;
use FreshHuddle\Core\Grouping\Search\Musts;
use FreshHuddle\Core\Grouping\Search\Report;
use FreshHuddle\Core\Grouping\Search\Setting;
use FreshHuddle\Core\Grouping\Search\Start;

/**
 * Places at random, every arrangement that keeps the rules as likely as any other: students are shuffled (Fisher and
 * Yates,
 * 1938) into the seats, and a shuffle that breaks a rule is thrown away. Only where rules are so tight that this takes
 * too
 * long, a random walk from one arrangement to the next stands in for it; it comes close to even odds.
 */
final readonly class Deal implements Method
{
    private const SHUFFLES = 4_000;
    /** Steps of the random walk for each student. */
    private const WALK = 300;

    public function solve(Problem $problem, Limit $limit): Result
    {
        $setting = Setting::fromProblem($problem, $problem->shape ?? throw ImpossibleShape::noGroup());
        $report = new Report($problem, $setting);
        $musts = new Musts($setting, $problem->rules);
        if (0 === $setting->n) {
            return $report->found(array_fill(0, $problem->rounds, []));
        }
        $dice = new Dice($problem->seed);
        $rounds = [];
        for ($round = 0; $round < $problem->rounds; ++$round) {
            $groups = $this->shuffled($setting, $musts, $dice) ?? $this->walked($setting, $musts, $dice);
            if (null === $groups) {
                return $report->contradiction();
            }
            $rounds[] = Report::largerFirst($groups, $musts);
        }

        return $report->found($rounds);
    }

    /**
     * @return list<list<int>>|null null where no shuffle kept the rules
     */
    private function shuffled(Setting $setting, Musts $musts, Dice $dice): ?array
    {
        if ($musts->impossible) {
            return null;
        }
        $fixed = array_fill(0, $setting->groups(), []);
        $free = [];
        foreach ($musts->units as $unit => $students) {
            if (isset($musts->home[$unit])) {
                array_push($fixed[$musts->home[$unit]], ...$students);
            } else {
                array_push($free, ...$students);
            }
        }
        $held = array_map('count', $fixed);
        $ids = array_map(static fn (int $i): string => $setting->students[$i]->id, $free);
        array_multisort($ids, \SORT_STRING, $free); // the answer depends on who is there, not on the order of the list
        $most = self::ways(self::sorted($held), $setting->sizes);
        for ($try = 0; $try < self::SHUFFLES; ++$try) {
            $sizes = $dice->shuffle($setting->sizes);
            // The more ways there are to fill the seats left over, the likelier are these sizes.
            $ways = self::ways($held, $sizes);
            if (null === $ways || null === $most || $dice->fraction() >= exp($most - $ways)) {
                continue;
            }
            $groups = $this->filled($fixed, $sizes, $dice->shuffle($free));
            $groupOf = [];
            foreach ($groups as $g => $group) {
                $groupOf += array_fill_keys($group, $g);
            }
            if ($musts->areKeptBy($groupOf)) {
                return $groups;
            }
        }

        return null;
    }

    /**
     * @param list<list<int>> $fixed
     * @param list<int>       $sizes
     * @param list<int>       $free
     *
     * @return list<list<int>>
     */
    private function filled(array $fixed, array $sizes, array $free): array
    {
        $groups = [];
        $at = 0;
        foreach ($sizes as $g => $size) {
            $more = $size - \count($fixed[$g]);
            $groups[] = [...$fixed[$g], ...\array_slice($free, $at, $more)];
            $at += $more;
        }

        return $groups;
    }

    /**
     * @return list<list<int>>|null null where the rules contradict each other
     *
     * @throws NoWayFound
     */
    private function walked(Setting $setting, Musts $musts, Dice $dice): ?array
    {
        $start = (new Start($setting, $musts, $dice))->find();
        if (null === $start) {
            throw NoWayFound::toKeepAllRules();
        }
        if (false === $start) {
            return null;
        }
        $unnamed = array_values(array_diff(array_keys($start), array_keys($musts->namedGroups())));
        $groups = $start;
        foreach ($dice->shuffle($unnamed) as $at => $from) {
            $groups[$unnamed[$at]] = $start[$from];
        }
        $board = new Board($groups, $musts, []);
        for ($step = 0; $step < self::WALK * $setting->n; ++$step) {
            $i = $dice->below($board->seating->all);
            $j = $dice->below($board->seating->all);
            if ($board->isInBlock($i) && $board->seating->groupOf[$i] !== $board->seating->groupOf[$j]) {
                foreach ($board->exchange($i, $board->seating->groupOf[$j], $dice) ?? [] as [$one, $other]) {
                    $board->swap($one, $other);
                }
            } elseif ($board->allows($i, $j)) {
                $board->swap($i, $j);
            }
        }

        return $board->seating->groups();
    }

    /**
     * The logarithm of Π (free seats of a group)!: the higher, the fewer ways to fill them.
     *
     * @param list<int> $held  a number a group
     * @param list<int> $sizes a size a group
     */
    private static function ways(array $held, array $sizes): ?float
    {
        $sum = 0.0;
        foreach ($sizes as $group => $size) {
            if ($held[$group] > $size) {
                return null;
            }
            for ($seat = 2; $seat <= $size - $held[$group]; ++$seat) {
                $sum += log($seat);
            }
        }

        return $sum;
    }

    /**
     * @param list<int> $numbers
     *
     * @return list<int> the larger first
     */
    private static function sorted(array $numbers): array
    {
        rsort($numbers);

        return $numbers;
    }
}
