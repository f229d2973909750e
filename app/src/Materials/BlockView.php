<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials;

use FreshHuddle\Core\Materials\Block;
use FreshHuddle\Core\Materials\BlockKind;

/**
 * A block, on its way in and out.
 */
final readonly class BlockView
{
    public function __construct(public string $id, public BlockKind $kind, public string $text)
    {
    }

    public static function of(Block $block): self
    {
        return new self($block->id, $block->kind, $block->text);
    }
}
