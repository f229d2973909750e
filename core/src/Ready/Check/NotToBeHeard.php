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
 * The class cannot read yet, and a material says nothing that can be heard.
 */
final readonly class NotToBeHeard implements Check
{
    public function find(Plan $plan): array
    {
        $silent = $plan->cannotReadYet
            ? array_values(
                array_filter(
                    $plan->materials,
                    static fn (PlannedMaterial $material): bool => !$material->spoken
                        && null === $material->unfinished,
                ),
            )
            : [];

        return array_map(
            static fn (PlannedMaterial $material): Finding => new Finding(
                'notToBeHeard',
                Weight::Look,
                new Message('ready.not_to_be_heard', ['title' => $material->title]),
                Mend::WriteOriginal,
                new Message('ready.press.add_spoken_note'),
                $material->id,
            ),
            $silent,
        );
    }
}
