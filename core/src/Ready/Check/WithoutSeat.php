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
 * Somebody who is here sits at no table.
 */
final readonly class WithoutSeat implements Check
{
    public function find(Plan $plan): array
    {
        $seated = array_merge(
            [],
            ...array_map(static fn (PlannedGroup $group): array => $group->students, $plan->groups),
        );
        $without = array_values(array_diff(array_map(strval(...), array_keys($plan->students)), $seated));

        return [] === $plan->groups || [] === $without
            ? []
            : [
                new Finding(
                    'withoutSeat',
                    Weight::Stop,
                    new Message('ready.without_seat', [
                        'students' => Said::some($plan->names($without)),
                        'count' => \count($without),
                    ]),
                    Mend::Repair,
                ),
            ];
    }
}
