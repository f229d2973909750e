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
 * A letter to a student was refused, or came back.
 */
final readonly class LetterReturned implements Check
{
    public function find(Plan $plan): array
    {
        return [] === $plan->returned
            ? []
            : [
                new Finding(
                    'letterReturned',
                    Weight::Look,
                    new Message('ready.letter_returned', [
                        'students' => Said::some($plan->returned),
                        'count' => \count($plan->returned),
                    ]),
                    Mend::Sending,
                ),
            ];
    }
}
