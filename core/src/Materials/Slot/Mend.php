<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Materials\Slot;

use FreshHuddle\Core\Materials\Block;
use FreshHuddle\Core\Materials\BlockItem;
use FreshHuddle\Core\Materials\BlockSettings;
use FreshHuddle\Core\Materials\Exception\UnusableValue;

/**
 * Sentences with something wrong in them: what each has become. One that is as it was given has not been mended.
 */
final readonly class Mend extends Things
{
    public function lacks(Block $block): ?string
    {
        return [] === $block->settings->items ? 'materials.original.no_sentences' : null;
    }

    /**
     * The share of the sentences that are not any more as they were given.
     */
    public function share(string $value, Block $block): float
    {
        $things = self::things($value);
        $mended = array_filter(
            $block->settings->items,
            static fn (BlockItem $item): bool => isset($things[$item->id]) && $things[$item->id] !== $item->text,
        );

        return \count($mended) / max(1, \count($block->settings->items));
    }

    protected function thing(string $id, mixed $thing, Block $block): string
    {
        return null !== $block->settings->item($id)
            ? self::text($thing, BlockSettings::LONGEST_ITEM)
            : throw UnusableValue::wrong();
    }
}
