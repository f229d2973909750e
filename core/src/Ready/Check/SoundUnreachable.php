<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Ready\Check;

use FreshHuddle\Core\Message;
use FreshHuddle\Core\Ready\Check;
use FreshHuddle\Core\Ready\Finding;
use FreshHuddle\Core\Ready\Mend;
use FreshHuddle\Core\Ready\Plan;
use FreshHuddle\Core\Ready\Said;
use FreshHuddle\Core\Ready\Weight;

/**
 * The last time, somebody’s network let no sound through.
 */
final readonly class SoundUnreachable implements Check
{
    public function find(Plan $plan): array
    {
        $students = array_values(
            array_filter(
                $plan->sound->unreachable ?? [],
                static fn (string $student): bool => isset($plan->students[$student]),
            ),
        );

        return [] === $students
            ? []
            : [
                new Finding(
                    'soundUnreachable',
                    Weight::Look,
                    new Message('ready.sound_unreachable', [
                        'students' => Said::some($plan->names($students)),
                        'count' => \count($students),
                    ]),
                    Mend::Rooms,
                ),
            ];
    }
}
