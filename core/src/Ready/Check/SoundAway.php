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
 * Groups meet in our own pages, and nobody can be heard there just now.
 */
final readonly class SoundAway implements Check
{
    public function find(Plan $plan): array
    {
        return true === $plan->sound?->away
            ? [new Finding('soundAway', Weight::Look, new Message('ready.sound_away'), Mend::Rooms)]
            : [];
    }
}
