<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Ready\Check;

use FreshHuddle\Core\Message;
use FreshHuddle\Core\Ready\Check;
use FreshHuddle\Core\Ready\Finding;
use FreshHuddle\Core\Ready\Mend;
use FreshHuddle\Core\Ready\Plan;
use FreshHuddle\Core\Ready\PlannedRoom;
use FreshHuddle\Core\Ready\Weight;
use FreshHuddle\Core\Rooms\MainSession;

/**
 * Groups meet elsewhere, and there is nowhere for everybody to come back to.
 */
final readonly class NoMainSession implements Check
{
    public function find(Plan $plan): array
    {
        $main = $plan->places()[MainSession::PLACE] ?? null;
        $isAway =
            [] !==
            array_filter(
                $plan->rooms,
                static fn (PlannedRoom $room): bool => $room->state->hasLink() && $room->source->hasLink(),
            );
        if (true === $main?->state->hasLink() || true === $main?->working || $plan->settingUp || !$isAway) {
            return [];
        }
        $mend = ($main->source ?? $plan->source)->isPasted() ? Mend::SayWhere : Mend::SetUp;

        return [
            new Finding(
                'noMainSession',
                Weight::Look,
                new Message('ready.no_main_session', []),
                $mend,
                Mend::SayWhere === $mend ? new Message('ready.press.say_where_main') : $plan->setUp,
            ),
        ];
    }
}
