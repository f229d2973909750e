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
 * Somebody sits at two tables.
 */
final readonly class InTwoGroups implements Check
{
    public function find(Plan $plan): array
    {
        $times = array_count_values(
            array_merge([], ...array_map(static fn (PlannedGroup $group): array => $group->students, $plan->groups)),
        );
        $twice = array_map(strval(...), array_keys(array_filter($times, static fn (int $n): bool => $n > 1)));

        return [] === $twice
            ? []
            : [
                new Finding(
                    'inTwoGroups',
                    Weight::Stop,
                    new Message('ready.in_two_groups', [
                        'students' => Said::some($plan->names($twice)),
                        'count' => \count($twice),
                    ]),
                    Mend::Desk,
                ),
            ];
    }
}
