<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Search;

use FreshHuddle\Core\Grouping\Goal;
use FreshHuddle\Core\Grouping\Goal\NewPartners;
use FreshHuddle\Core\Grouping\GoalReport;
use FreshHuddle\Core\Grouping\Problem;
use FreshHuddle\Core\Grouping\Result;

/**
 * Writes what a method found as a result, with every figure counted from the definitions.
 */
final readonly class Report
{
    private const SMALL = 1e-9;

    public function __construct(private Problem $problem, private Setting $setting)
    {
    }

    /**
     * @param list<list<list<int>>> $rounds
     * @param bool                  $proven known to be the best by looking at all; otherwise the bounds may still show
     *     it
     * @param list<float>|null      $bounds a lower bound a goal; null: the goals' own
     */
    public function found(array $rounds, bool $proven = false, ?array $bounds = null): Result
    {
        $evaluation = new Evaluation($this->setting, $this->problem->goals);
        $bounds ??= $this->bounds(\count($rounds));
        $reports = [];
        $cost = $bound = 0.0;
        foreach ($this->problem->goals as $number => $goal) {
            $own = $evaluation->goalCost($goal, $rounds);
            $own = $own < self::SMALL ? 0.0 : $own;
            $reports[] = new GoalReport($number, $own, min($own, $bounds[$number]));
            $cost += $goal->weight() * $own;
            $bound += $goal->weight() * $bounds[$number];
        }

        return new Result(
            seed: $this->problem->seed,
            rounds: array_map($this->setting->idsOf(...), $rounds),
            goals: $reports,
            cost: $cost,
            proven: $proven || $cost <= $bound + self::SMALL * max(1.0, abs($cost)),
            repeats: NewPartners::repeats($rounds),
        );
    }

    /**
     * @return list<float>
     */
    public function bounds(int $rounds): array
    {
        return array_map(fn (Goal $goal): float => $goal->lowerBound($this->setting, $rounds), $this->problem->goals);
    }

    /**
     * The rules cannot all be kept: which, and nobody placed.
     */
    public function contradiction(): Result
    {
        return new Result(
            seed: $this->problem->seed,
            unplaced: array_map(strval(...), array_keys($this->setting->index)),
            conflicts: (new Conflicts($this->setting, $this->problem->rules, $this->problem->labels()))->find(),
        );
    }

    /**
     * Groups that no rule names are all alike: the larger come first.
     *
     * @param list<list<int>> $groups
     *
     * @return list<list<int>>
     */
    public static function largerFirst(array $groups, Musts $musts): array
    {
        $named = $musts->namedGroups();
        $free = array_diff_key($groups, $named);
        $places = array_keys($free);
        usort($free, static fn (array $a, array $b): int => \count($b) <=> \count($a));
        foreach ($free as $at => $group) {
            $groups[$places[$at]] = $group;
        }

        return array_values($groups);
    }
}
