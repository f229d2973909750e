<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Proposal\Why;

use FreshHuddle\App\Grouping\Proposal\ConflictView;

/**
 * How the floor as it is stands against goals and rules.
 */
final readonly class StandingsView
{
    /**
     * @param list<GoalStandingView> $goals  in the order of the settings
     * @param list<ConflictView>     $broken rules the floor breaks
     */
    public function __construct(public array $goals, public array $broken)
    {
    }
}
