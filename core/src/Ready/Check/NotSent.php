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
 * Posts or letters that are to go out have not.
 */
final readonly class NotSent implements Check
{
    public function find(Plan $plan): array
    {
        return 0 === $plan->unsent || $plan->settingUp
            ? []
            : [
                new Finding(
                    'notSent',
                    Weight::Look,
                    new Message('ready.not_sent', ['count' => $plan->unsent]),
                    Mend::SetUp,
                    $plan->setUp,
                ),
            ];
    }
}
