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
use FreshHuddle\Core\Rooms\WayIn;

/**
 * Rooms have to be opened by one of the group, and nobody of the group has that role.
 */
final readonly class NobodyOpens implements Check
{
    public function find(Plan $plan): array
    {
        if ('' === $plan->openedBy) {
            return [];
        }
        $places = $plan->places();
        $without = array_values(
            array_filter(
                $plan->groups,
                static fn (PlannedGroup $group): bool => (
                    $places[$group->id]->source ?? $plan->source
                )->mayNeedOpening()
                    && [] ===
                        WayIn::openers(
                            $plan->openedBy,
                            array_intersect_key($group->roles, array_flip($plan->presentMembers($group))),
                        ),
            ),
        );

        return [] === $without
            ? []
            : [
                new Finding(
                    'nobodyOpens',
                    Weight::Stop,
                    new Message('ready.nobody_opens', [
                        'groups' => Said::named($without),
                        'count' => \count($without),
                        'role' => $plan->openedBy,
                    ]),
                    Mend::Desk,
                ),
            ];
    }
}
