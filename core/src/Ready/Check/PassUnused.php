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
 * Somebody has never come in by their pass, where others have.
 */
final readonly class PassUnused implements Check
{
    public function find(Plan $plan): array
    {
        $unused = array_values(
            array_filter($plan->unused ?? [], static fn (string $student): bool => isset($plan->students[$student])),
        );

        return [] === $unused
            ? []
            : [
                new Finding(
                    'passUnused',
                    Weight::Look,
                    new Message('ready.pass_unused', [
                        'students' => Said::some($plan->names($unused)),
                        'count' => \count($unused),
                    ]),
                    Mend::Slips,
                ),
            ];
    }
}
