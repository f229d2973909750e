<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Materials;

/**
 * One of the things a block lists: a card, a heading, a line to tick, a column, a kind of mark, a sentence, an option.
 */
final readonly class BlockItem
{
    /**
     * @param string $id    stays the same while its text is edited, so that what students did stays with it: 1 to 40 of
     *                      a-z, 0-9, -
     * @param string $under of a card: the heading it belongs under in truth; '' where that is not said
     */
    public function __construct(public string $id, public string $text, public string $under = '')
    {
    }
}
