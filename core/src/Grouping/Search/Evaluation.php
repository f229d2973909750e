<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Search;

use FreshHuddle\Core\Grouping\Goal;

/**
 * What arrangements cost, counted from the definitions.
 */
final readonly class Evaluation
{
    /**
     * @param list<Goal> $goals
     */
    public function __construct(private Setting $setting, public array $goals)
    {
    }

    /**
     * @param list<list<list<int>>> $rounds
     */
    public function goalCost(Goal $goal, array $rounds): float
    {
        $cost = $goal->meetingsCost($this->setting, $rounds);
        foreach ($rounds as $groups) {
            foreach ($groups as $group) {
                if ([] !== $group) {
                    $cost += $goal->groupCost($this->setting, $group);
                }
            }
        }

        return $cost;
    }

    /**
     * Σ weight × cost.
     *
     * @param list<list<list<int>>> $rounds
     */
    public function cost(array $rounds): float
    {
        $cost = 0.0;
        foreach ($this->goals as $goal) {
            $cost += 0.0 === $goal->weight() ? 0.0 : $goal->weight() * $this->goalCost($goal, $rounds);
        }

        return $cost;
    }

    public function lowerBound(int $rounds): float
    {
        $bound = 0.0;
        foreach ($this->goals as $goal) {
            $bound += 0.0 === $goal->weight() ? 0.0 : $goal->weight() * $goal->lowerBound($this->setting, $rounds);
        }

        return $bound;
    }
}
