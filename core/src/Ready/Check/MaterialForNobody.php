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
 * An original stands in the plan, and no group gets it.
 */
final readonly class MaterialForNobody implements Check
{
    public function find(Plan $plan): array
    {
        return array_values(
            array_map(
                static fn (PlannedMaterial $material): Finding => new Finding(
                    'materialForNobody',
                    Weight::Look,
                    new Message('ready.material_for_nobody', ['title' => $material->title]),
                    Mend::Materials,
                    null,
                    $material->id,
                ),
                array_filter(
                    $plan->materials,
                    static fn (PlannedMaterial $material): bool => [] !== $material->gets
                        && [] === array_filter($material->gets, \is_string(...)),
                ),
            ),
        );
    }
}
