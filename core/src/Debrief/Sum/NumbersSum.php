<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Debrief\Sum;

use FreshHuddle\Core\Materials\Block;

/**
 * Who has which number, the smallest first.
 */
final readonly class NumbersSum implements SlotSum
{
    public function sum(Block $block, array $given): Sum
    {
        $sources = [];
        foreach ($given as $one) {
            if ('' !== $one->value) {
                $sources[$one->value][] = $one->source;
            }
        }
        uksort($sources, static fn (int|string $a, int|string $b): int => (float) $a <=> (float) $b);
        $tallies = [];
        foreach ($sources as $number => $who) {
            $tallies[] = new Tally('', '', (string) $number, $who);
        }

        return new Sum(SumShape::Numbers, $tallies);
    }
}
