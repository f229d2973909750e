<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Debrief\Sum;

use FreshHuddle\Core\Materials\Block;

/**
 * What was written, like answers together, what most have written first.
 */
final readonly class TextsSum implements SlotSum
{
    public function sum(Block $block, array $given): Sum
    {
        return new Sum(
            SumShape::Texts,
            array_map(
                static fn (array $like): Tally => new Tally('', '', $like[0], $like[1]),
                LikeText::together($given),
            ),
        );
    }
}
