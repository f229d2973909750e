<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Materials;

/**
 * What a block says in one of the variants of its original, where that is something else.
 */
final readonly class BlockVariant
{
    /**
     * @param string $variant the variant's id
     * @param string $text    the block's text there
     * @param string $passage the text to mark in, there; '' for the same as everywhere
     */
    public function __construct(public string $variant, public string $text, public string $passage = '')
    {
    }
}
