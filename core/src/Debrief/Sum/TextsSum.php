<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Debrief\Sum;

use FreshHuddle\Core\Materials\Block;

/**
 * What was written, like answers together, what most have written first.
 */
final readonly class TextsSum implements SlotSum
{
    /**
     * @param list<string> $apart texts that a teacher has taken out of like ones
     */
    public function __construct(private array $apart = [])
    {
    }

    public function sum(Block $block, array $given): Sum
    {
        return new Sum(
            SumShape::Texts,
            array_map(
                static fn (LikeAnswers $like): Tally => new Tally(
                    '',
                    '',
                    $like->forms[0],
                    $like->sources,
                    null,
                    $like->forms,
                    $like->apart,
                ),
                LikeText::together($given, $this->apart),
            ),
        );
    }
}
