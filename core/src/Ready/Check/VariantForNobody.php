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
 * A form of an original is given to no group.
 */
final readonly class VariantForNobody implements Check
{
    public function find(Plan $plan): array
    {
        $findings = [];
        foreach ($plan->materials as $material) {
            $unused =
                $material->byStudent || [] === $material->gets || [] !== SameVariant::twice($plan, $material)
                    ? []
                    : array_values(array_diff($material->variants, array_filter($material->gets, \is_string(...))));
            if ([] !== $unused) {
                $findings[] = new Finding(
                    'variantForNobody',
                    Weight::Look,
                    new Message('ready.variant_for_nobody', [
                        'title' => $material->title,
                        'variants' => Said::some($unused),
                        'count' => \count($unused),
                    ]),
                    Mend::Materials,
                    null,
                    $material->id,
                );
            }
        }

        return $findings;
    }
}
