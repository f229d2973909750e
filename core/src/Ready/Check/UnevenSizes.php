<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Ready\Check;

use FreshHuddle\Core\Message;
use FreshHuddle\Core\Ready\Check;
use FreshHuddle\Core\Ready\Finding;
use FreshHuddle\Core\Ready\Mend;
use FreshHuddle\Core\Ready\Plan;
use FreshHuddle\Core\Ready\PlannedGroup;
use FreshHuddle\Core\Ready\Weight;

/**
 * Groups differ in size by more than was planned.
 */
final readonly class UnevenSizes implements Check
{
    public function find(Plan $plan): array
    {
        $sizes = array_map(
            static fn (PlannedGroup $group): int => \count($plan->presentMembers($group)),
            $plan->groups,
        );
        if ([] === $sizes || max($sizes) - min($sizes) <= $plan->mayDiffer || min($sizes) < 2) {
            return [];
        }

        return [
            new Finding(
                'unevenSizes',
                Weight::Look,
                new Message('ready.uneven_sizes', ['least' => min($sizes), 'most' => max($sizes)]),
                Mend::Desk,
            ),
        ];
    }
}
