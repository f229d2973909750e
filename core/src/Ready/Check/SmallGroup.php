<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Ready\Check;

use FreshHuddle\Core\Message;
use FreshHuddle\Core\Ready\Check;
use FreshHuddle\Core\Ready\Finding;
use FreshHuddle\Core\Ready\Mend;
use FreshHuddle\Core\Ready\Plan;
use FreshHuddle\Core\Ready\PlannedGroup;
use FreshHuddle\Core\Ready\Said;
use FreshHuddle\Core\Ready\Weight;

/**
 * Somebody would sit alone, or nobody at a table.
 */
final readonly class SmallGroup implements Check
{
    public function find(Plan $plan): array
    {
        $small = array_values(
            array_filter(
                $plan->groups,
                static fn (PlannedGroup $group): bool => \count($plan->presentMembers($group)) < 2,
            ),
        );

        return [] === $small || 1 === \count($plan->students)
            ? []
            : [
                new Finding(
                    'smallGroup',
                    Weight::Look,
                    new Message('ready.small_group', ['groups' => Said::named($small), 'count' => \count($small)]),
                    Mend::Desk,
                ),
            ];
    }
}
