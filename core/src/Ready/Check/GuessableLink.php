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

/**
 * The address of a room can be worked out from another.
 */
final readonly class GuessableLink implements Check
{
    public function find(Plan $plan): array
    {
        $guessable = array_filter($plan->rooms, static fn (PlannedRoom $room): bool => $room->guessable);

        return [] === $guessable
            ? []
            : [
                new Finding(
                    'guessableLink',
                    Weight::Look,
                    new Message('ready.guessable_link', ['count' => \count($guessable)]),
                    Mend::Rooms,
                ),
            ];
    }
}
