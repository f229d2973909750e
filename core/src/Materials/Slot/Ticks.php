<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Materials\Slot;

use FreshHuddle\Core\Materials\Block;
use FreshHuddle\Core\Materials\BlockSettings;
use FreshHuddle\Core\Materials\Exception\UnusableValue;

/**
 * Lines to tick, alone or together: the lines that are ticked.
 */
final readonly class Ticks extends Things
{
    public function isAlone(BlockSettings $settings): bool
    {
        return $settings->alone;
    }

    public function lacks(Block $block): ?string
    {
        return [] === $block->settings->items ? 'materials.original.no_lines' : null;
    }

    /**
     * The share of the lines that are ticked.
     */
    public function share(string $value, Block $block): float
    {
        return \count(self::things($value)) / max(1, \count($block->settings->items));
    }

    protected function thing(string $id, mixed $thing, Block $block): bool
    {
        return true === $thing && null !== $block->settings->item($id) ? true : throw UnusableValue::wrong();
    }
}
