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
 * The meeting service does not know a room any more that it made.
 */
final readonly class RoomLost implements Check
{
    public function find(Plan $plan): array
    {
        $lost = array_values(
            array_filter($plan->rooms, static fn (PlannedRoom $room): bool => $room->lost && !$room->working),
        );

        return [] === $lost || $plan->settingUp
            ? []
            : [
                new Finding(
                    'roomLost',
                    Weight::Look,
                    new Message('ready.room_lost', ['rooms' => Said::named($lost), 'count' => \count($lost)]),
                    Mend::SetUp,
                    $plan->setUp,
                ),
            ];
    }
}
