<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Debrief\Sum;

use FreshHuddle\Core\Materials\Block;
use FreshHuddle\Core\Materials\BlockItem;
use FreshHuddle\Core\Materials\Slot\Sort;
use FreshHuddle\Core\Materials\Slot\Things;

/**
 * Cards by the headings they were put under. Cards of the groups' own are not compared: each stands by itself.
 */
final readonly class CardsSum implements SlotSum
{
    public function sum(Block $block, array $given): Sum
    {
        $under = $scores = [];
        $knows = [] !== array_filter($block->settings->items, static fn (BlockItem $card): bool => '' !== $card->under);
        foreach ($given as $one) {
            foreach (Things::things($one->value) as $card => $thing) {
                if (\is_array($thing) && \is_string($thing['under'] ?? null)) {
                    $under[$card][$thing['under']][] = $one->source;
                }
            }
            if ($knows && '' !== $one->value) {
                $scores[] = new Score($one->source, ...(new Sort())->right($one->value, $block));
            }
        }
        $tallies = [];
        foreach ($block->settings->items as $card) {
            foreach ($block->settings->heads as $head) {
                $sources = $under[$card->id][$head->id] ?? [];
                if ([] !== $sources || $card->under === $head->id) {
                    $tallies[] = new Tally(
                        $card->id,
                        $head->id,
                        $card->text,
                        $sources,
                        '' === $card->under ? null : $card->under === $head->id,
                    );
                }
            }
        }

        return new Sum(SumShape::Cards, $tallies, $scores);
    }
}
