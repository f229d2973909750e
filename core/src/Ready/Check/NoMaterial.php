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
 * There is nothing to work on, in a lesson that is not meant to be talk only.
 */
final readonly class NoMaterial implements Check
{
    public function find(Plan $plan): array
    {
        return [] === $plan->materials && [] !== $plan->groups && !$plan->talkOnly
            ? [
                new Finding(
                    'noMaterial',
                    Weight::Stop,
                    new Message('ready.no_material', []),
                    Mend::WriteOriginal,
                    other: Mend::TalkOnly,
                ),
            ]
            : [];
    }
}
