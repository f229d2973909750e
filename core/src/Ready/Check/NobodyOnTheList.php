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
 * There is nobody to be sent anywhere.
 */
final readonly class NobodyOnTheList implements Check
{
    public function find(Plan $plan): array
    {
        return [] === $plan->students
            ? [
                new Finding(
                    'nobodyOnTheList',
                    Weight::Stop,
                    new Message('ready.nobody_on_the_list', []),
                    Mend::Roster,
                ),
            ]
            : [];
    }
}
