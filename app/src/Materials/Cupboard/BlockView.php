<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Cupboard;

use FreshHuddle\Core\Materials\Block;
use FreshHuddle\Core\Materials\BlockKind;
use FreshHuddle\Core\Materials\BlockSettings;
use FreshHuddle\Core\Materials\BlockVariant;

/**
 * A block, on its way in and out.
 */
final readonly class BlockView
{
    /**
     * @param list<BlockVariant> $variants what it says in a variant, where that is something else
     */
    public function __construct(
        public string $id,
        public BlockKind $kind,
        public string $text,
        public BlockSettings $settings = new BlockSettings(),
        public array $variants = [],
    ) {
    }

    public static function fromBlock(Block $block): self
    {
        return new self($block->id, $block->kind, $block->text, $block->settings, $block->variants);
    }

    public function block(): Block
    {
        return new Block($this->id, $this->kind, $this->text, $this->settings, $this->variants);
    }
}
