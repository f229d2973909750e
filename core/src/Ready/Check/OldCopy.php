<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Ready\Check;

use FreshHuddle\Core\Message;
use FreshHuddle\Core\Ready\Check;
use FreshHuddle\Core\Ready\Finding;
use FreshHuddle\Core\Ready\Mend;
use FreshHuddle\Core\Ready\Plan;
use FreshHuddle\Core\Ready\PlannedCopy;
use FreshHuddle\Core\Ready\Weight;

/**
 * A copy was made from an older version of its original.
 */
final readonly class OldCopy implements Check
{
    public function find(Plan $plan): array
    {
        $versions = [];
        foreach ($plan->materials as $material) {
            $versions[$material->id] = $material->version;
        }
        $old = array_filter(
            $plan->copies,
            static fn (PlannedCopy $copy): bool => $copy->version < ($versions[$copy->original] ?? 0),
        );

        return [] === $old
            ? []
            : [
                new Finding(
                    'oldCopy',
                    Weight::Look,
                    new Message('ready.old_copy', ['count' => \count($old)]),
                    Mend::BringChanges,
                ),
            ];
    }
}
