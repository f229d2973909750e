<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Explain;

use FreshHuddle\Core\Grouping\Goal;
use FreshHuddle\Core\Grouping\Search\Evaluation;
use FreshHuddle\Core\Grouping\Search\Setting;

/**
 * Says how far goals are met, and what stands in the way.
 */
final readonly class Standings
{
    private NameList $named;

    /**
     * @param list<string> $groupNames
     */
    public function __construct(private Setting $setting, array $groupNames)
    {
        $this->named = new NameList($setting, $groupNames);
    }

    /**
     * Complexity: O(goal cost).
     *
     * @param list<Goal>      $goals
     * @param list<list<int>> $groups
     *
     * @return list<Standing> in the order of the goals
     */
    public function forGoals(array $goals, array $groups): array
    {
        $evaluation = new Evaluation($this->setting, $goals);
        $standings = [];
        foreach ($goals as $goal) {
            $cost = $evaluation->goalCost($goal, [$groups]);
            $degree = $goal->degree($this->setting, $groups);
            $standings[] = new Standing(
                $degree,
                $cost,
                $degree->value >= 1.0 ? null : $goal->obstacle($this->setting, $groups, $this->named),
                $goal->summary($this->setting, $groups, $this->named),
            );
        }

        return $standings;
    }
}
