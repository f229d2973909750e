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
 * An original cannot be copied as it is.
 */
final readonly class UnfinishedOriginal implements Check
{
    public function find(Plan $plan): array
    {
        return array_values(
            array_map(
                static fn (PlannedMaterial $material): Finding => new Finding(
                    'unfinishedOriginal',
                    Weight::Stop,
                    new Message('ready.unfinished_original', [
                        'title' => $material->title,
                        'why' => $material->unfinished ?? '',
                    ]),
                    Mend::WriteOriginal,
                    new Message('ready.press.finish', ['title' => $material->title]),
                    $material->id,
                ),
                array_filter(
                    $plan->materials,
                    static fn (PlannedMaterial $material): bool => null !== $material->unfinished,
                ),
            ),
        );
    }
}
