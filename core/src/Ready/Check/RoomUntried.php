<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Ready\Check;

use FreshHuddle\Core\Message;
use FreshHuddle\Core\Ready\Check;
use FreshHuddle\Core\Ready\Finding;
use FreshHuddle\Core\Ready\Mend;
use FreshHuddle\Core\Ready\Plan;
use FreshHuddle\Core\Ready\PlannedRoom;
use FreshHuddle\Core\Ready\Said;
use FreshHuddle\Core\Ready\Weight;

/**
 * Nobody has been in a room by a link that somebody else made. A room with people in it is in use.
 */
final readonly class RoomUntried implements Check
{
    public function find(Plan $plan): array
    {
        $untried = array_values(
            array_filter(
                $plan->rooms,
                static fn (PlannedRoom $room): bool => $room->state->hasLink()
                    && $room->source->mayNeedOpening()
                    && !$room->tried
                    && !$room->inUse,
            ),
        );

        return [] === $untried
            ? []
            : [
                new Finding(
                    'roomUntried',
                    Weight::Look,
                    new Message('ready.room_untried', [
                        'rooms' => Said::named($untried),
                        'count' => \count($untried),
                    ]),
                    Mend::Rooms,
                ),
            ];
    }
}
