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
 * The floor breaks a must.
 */
final readonly class RuleBroken implements Check
{
    public function find(Plan $plan): array
    {
        return array_map(
            static fn (Message $rule): Finding => new Finding(
                'ruleBroken',
                Weight::Stop,
                new Message('ready.rule_broken', ['rule' => $rule]),
                Mend::Repair,
            ),
            $plan->broken,
        );
    }
}
