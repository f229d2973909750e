<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Ready\Check;

use FreshHuddle\Core\Message;
use FreshHuddle\Core\Ready\Check;
use FreshHuddle\Core\Ready\Finding;
use FreshHuddle\Core\Ready\Mend;
use FreshHuddle\Core\Ready\Plan;
use FreshHuddle\Core\Ready\Weight;

/**
 * The round is too short to visit every group for a minute.
 */
final readonly class ShortVisits implements Check
{
    public function find(Plan $plan): array
    {
        $groups = \count($plan->groups);

        return 0 === $groups || $plan->roundMinutes >= $groups
            ? []
            : [
                new Finding(
                    'shortVisits',
                    Weight::Look,
                    new Message('ready.short_visits', [
                        'groups' => $groups,
                        'seconds' => intdiv(60 * $plan->roundMinutes, $groups),
                    ]),
                    Mend::Order,
                ),
            ];
    }
}
