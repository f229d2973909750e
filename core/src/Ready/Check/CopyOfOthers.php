<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Ready\Check;

use FreshHuddle\Core\Message;
use FreshHuddle\Core\Ready\Check;
use FreshHuddle\Core\Ready\Finding;
use FreshHuddle\Core\Ready\Mend;
use FreshHuddle\Core\Ready\Plan;
use FreshHuddle\Core\Ready\PlannedCopy;
use FreshHuddle\Core\Ready\PlannedGroup;
use FreshHuddle\Core\Ready\Said;
use FreshHuddle\Core\Ready\Weight;

/**
 * A copy belongs to another group, class or round.
 */
final readonly class CopyOfOthers implements Check
{
    public function find(Plan $plan): array
    {
        $groups = array_flip(array_map(static fn (PlannedGroup $group): string => $group->id, $plan->groups));
        $strange = array_values(
            array_filter(
                $plan->copies,
                static fn (PlannedCopy $copy): bool => !$copy->isOfRound
                    || (null !== $copy->group && !isset($groups[$copy->group])),
            ),
        );

        return [] === $strange
            ? []
            : [
                new Finding(
                    'copyOfOthers',
                    Weight::Stop,
                    new Message('ready.copy_of_others', [
                        'copies' => Said::named($strange),
                        'count' => \count($strange),
                    ]),
                    Mend::Materials,
                ),
            ];
    }
}
