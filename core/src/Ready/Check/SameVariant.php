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
 * There is a form for every group, and two get the same.
 */
final readonly class SameVariant implements Check
{
    public function find(Plan $plan): array
    {
        $names = [];
        foreach ($plan->groups as $group) {
            $names[$group->id] = $group->name;
        }
        $findings = [];
        foreach ($plan->materials as $material) {
            foreach (self::twice($plan, $material) as $variant => $groups) {
                $findings[] = new Finding(
                    'sameVariant',
                    Weight::Look,
                    new Message('ready.same_variant', [
                        'title' => $material->title,
                        'variant' => $variant,
                        'groups' => array_values(array_intersect_key($names, array_flip($groups))),
                    ]),
                    Mend::Materials,
                    null,
                    $material->id,
                );
            }
        }

        return $findings;
    }

    /**
     * Where there is a form for every group: those that several get.
     *
     * @return array<array-key, list<array-key>> ids of groups, by form
     */
    public static function twice(Plan $plan, PlannedMaterial $material): array
    {
        if ($material->byStudent || \count($material->variants) < \count($plan->groups)) {
            return [];
        }
        $by = [];
        foreach ($material->gets as $group => $variant) {
            if (null === $variant || '' === $variant) {
                return []; // they need not all differ
            }
            $by[$variant][] = $group;
        }

        return array_filter($by, static fn (array $groups): bool => \count($groups) > 1);
    }
}
