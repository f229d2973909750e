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
 * One link leads two groups, or a group and the main session, into one room.
 */
final readonly class SharedLink implements Check
{
    public function find(Plan $plan): array
    {
        $by = [];
        foreach ($plan->rooms as $room) {
            if (null !== $room->link) {
                $by[$room->link->normal][] = $room->name;
            }
        }

        return array_map(
            static fn (array $rooms): Finding => new Finding(
                'sharedLink',
                Weight::Stop,
                new Message('ready.shared_link', ['rooms' => $rooms]),
                Mend::SayWhere,
                new Message('ready.press.say_where', ['groups' => \count($rooms)]),
            ),
            array_values(array_filter($by, static fn (array $rooms): bool => \count($rooms) > 1)),
        );
    }
}
