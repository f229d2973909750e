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
use FreshHuddle\Core\Rooms\RoomState;

/**
 * A room could not be made.
 */
final readonly class RoomFailed implements Check
{
    public function find(Plan $plan): array
    {
        $failed = array_values(
            array_filter(
                $plan->rooms,
                static fn (PlannedRoom $room): bool => RoomState::Failed === $room->state && !$room->working,
            ),
        );

        return [] === $failed || $plan->settingUp
            ? []
            : [
                new Finding(
                    'roomFailed',
                    Weight::Stop,
                    new Message('ready.room_failed', [
                        'rooms' => Said::named($failed),
                        'count' => \count($failed),
                        'why' => $failed[0]->failure ?? '',
                    ]),
                    Mend::MakeRooms,
                    new Message('ready.press.try_again', ['rooms' => \count($failed)]),
                ),
            ];
    }
}
