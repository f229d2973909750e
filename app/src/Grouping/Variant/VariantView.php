<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Variant;

use FreshHuddle\App\Grouping\Proposal\Several\ProposedGroup;
use FreshHuddle\App\Grouping\Proposal\Why\GoalStandingView;

/**
 * A floor laid aside, to be held against another.
 */
final readonly class VariantView
{
    /**
     * @param list<ProposedGroup>    $groups
     * @param list<GoalStandingView> $goals  how it stands against the goals as the desk is set
     */
    public function __construct(public string $id, public string $name, public array $groups, public array $goals)
    {
    }
}
