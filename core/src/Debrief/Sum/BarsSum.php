<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Debrief\Sum;

use FreshHuddle\Core\Materials\Block;
use FreshHuddle\Core\Materials\Slot\Things;

/**
 * How many have ticked or chosen each line, in the order in which the lines stand.
 */
final readonly class BarsSum implements SlotSum
{
    public function sum(Block $block, array $given): Sum
    {
        $sources = [];
        foreach ($given as $one) {
            foreach (array_keys(Things::things($one->value)) as $line) {
                $sources[$line][] = $one->source;
            }
        }
        $tallies = [];
        foreach ($block->settings->items as $line) {
            $tallies[] = new Tally($line->id, '', $line->text, $sources[$line->id] ?? []);
        }

        return new Sum(SumShape::Bars, $tallies);
    }
}
