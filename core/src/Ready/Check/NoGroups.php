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
        return [] !== $plan->students && [] === $plan->groups
            ? [new Finding('noGroups', Weight::Stop, new Message('ready.no_groups', ['students' => \count($plan->students)]), Mend::Deal, new Message('ready.press.deal', ['students' => \count($plan->students)]))]
            : [];
    }
}
