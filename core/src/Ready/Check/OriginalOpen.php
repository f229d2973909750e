<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Ready\Check;

use FreshHuddle\Core\Message;
use FreshHuddle\Core\Ready\Check;
use FreshHuddle\Core\Ready\Finding;
use FreshHuddle\Core\Ready\Mend;
use FreshHuddle\Core\Ready\Plan;
use FreshHuddle\Core\Ready\PlannedMaterial;
use FreshHuddle\Core\Ready\Weight;

/**
 * Students could write in the original itself.
 */
final readonly class OriginalOpen implements Check
{
    public function find(Plan $plan): array
    {
        return array_values(
            array_map(
                static fn (PlannedMaterial $material): Finding => new Finding(
                    'originalOpen',
                    Weight::Stop,
                    new Message('ready.original_open', ['title' => $material->title]),
                    Mend::Materials,
                    null,
                    $material->id,
                ),
                array_filter($plan->materials, static fn (PlannedMaterial $material): bool => $material->open),
            ),
        );
    }
}
