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
 * The class is not in groups yet.
 */
final readonly class NoGroups implements Check
{
    public function find(Plan $plan): array
    {
        if ([] === $plan->students || [] !== $plan->groups) {
            return [];
        }
        $count = ['students' => \count($plan->students)];

        return [
            new Finding(
                'noGroups',
                Weight::Stop,
                new Message('ready.no_groups', $count),
                Mend::Deal,
                null === $plan->mixedBy
                    ? new Message('ready.press.deal', $count)
                    : new Message('ready.press.mix', $count + ['attribute' => $plan->mixedBy]),
                other: null === $plan->mixedBy ? null : Mend::DealAtRandom,
            ),
        ];
    }
}
