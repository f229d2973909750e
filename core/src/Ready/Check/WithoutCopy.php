<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Ready\Check;

use FreshHuddle\Core\Message;
use FreshHuddle\Core\Ready\Check;
use FreshHuddle\Core\Ready\Finding;
use FreshHuddle\Core\Ready\Mend;
use FreshHuddle\Core\Ready\Plan;
use FreshHuddle\Core\Ready\Weight;

/**
 * A group, a student or the class is to get a copy that is not made yet.
 */
final readonly class WithoutCopy implements Check
{
    public function find(Plan $plan): array
    {
        $missing = 0;
        foreach ($plan->materials as $material) {
            if (null === $material->unfinished) {
                $missing += $material->missing;
            }
        }
        if (0 === $missing) {
            return [];
        }

        return [
            $plan->settingUp
                ? new Finding(
                    'copiesBeingMade',
                    Weight::Stop,
                    new Message('ready.copies_being_made', ['count' => $missing]),
                    Mend::Wait,
                )
                : new Finding(
                    'withoutCopy',
                    Weight::Stop,
                    new Message('ready.without_copy', ['count' => $missing]),
                    Mend::SetUp,
                    $plan->setUp,
                ),
        ];
    }
}
