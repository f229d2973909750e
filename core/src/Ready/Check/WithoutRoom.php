<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Ready\Check;

use FreshHuddle\Core\Message;
use FreshHuddle\Core\Ready\Check;
use FreshHuddle\Core\Ready\Finding;
use FreshHuddle\Core\Ready\Mend;
use FreshHuddle\Core\Ready\Plan;
use FreshHuddle\Core\Ready\PlannedGroup;
use FreshHuddle\Core\Ready\Said;
use FreshHuddle\Core\Ready\Weight;
use FreshHuddle\Core\Rooms\RoomState;

/**
 * A group has no room to go to. Where groups meet in the classroom, a table is a room.
 */
final readonly class WithoutRoom implements Check
{
    public function find(Plan $plan): array
    {
        $places = $plan->places();
        $without = array_values(
            array_filter($plan->groups, static function (PlannedGroup $group) use ($plan, $places): bool {
                $room = $places[$group->id] ?? null;

                return ($room->source ?? $plan->source)->hasLink()
                    && (null === $room
                        || RoomState::Planned === $room->state
                        || ($plan->settingUp && !$room->state->hasLink()));
            }),
        );
        if ([] === $without) {
            return [];
        }
        $values = ['groups' => Said::named($without), 'count' => \count($without)];
        if (
            $plan->settingUp
            || [] !==
                array_filter($without, static fn (PlannedGroup $group): bool => $places[$group->id]->working ?? false)
        ) {
            return [
                new Finding(
                    'roomsBeingMade',
                    Weight::Stop,
                    new Message('ready.rooms_being_made', [
                        'made' => \count($plan->groups) - \count($without),
                        'groups' => \count($plan->groups),
                    ]),
                    Mend::Wait,
                ),
            ];
        }
        $standing = \array_slice($plan->groups, 0, $plan->standingLinks);
        $bySomebody = \count(
            array_filter(
                $without,
                static fn (PlannedGroup $group): bool => ($places[$group->id]->source ?? $plan->source)->isPasted()
                    && !\in_array($group, $standing, true),
            ),
        );

        return [
            0 === $bySomebody
                ? new Finding(
                    'withoutRoom',
                    Weight::Stop,
                    new Message('ready.without_room', $values),
                    Mend::SetUp,
                    $plan->setUp,
                )
                : new Finding(
                    'withoutRoom',
                    Weight::Stop,
                    new Message('ready.without_room', $values),
                    Mend::SayWhere,
                    new Message('ready.press.say_where', ['groups' => $bySomebody]),
                ),
        ];
    }
}
