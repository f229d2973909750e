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
 * Somebody has joined and never tried a microphone, where others have.
 */
final readonly class MicrophoneUntried implements Check
{
    public function find(Plan $plan): array
    {
        $students = array_values(
            array_filter(
                $plan->sound->untried ?? [],
                static fn (string $student): bool => isset($plan->students[$student]),
            ),
        );

        return [] === $students
            ? []
            : [
                new Finding(
                    'microphoneUntried',
                    Weight::Look,
                    new Message('ready.microphone_untried', [
                        'students' => Said::some($plan->names($students)),
                        'count' => \count($students),
                    ]),
                    Mend::Rooms,
                ),
            ];
    }
}
