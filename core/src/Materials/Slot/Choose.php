<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Materials\Slot;

use FreshHuddle\Core\Materials\Block;
use FreshHuddle\Core\Materials\BlockSettings;
use FreshHuddle\Core\Materials\Exception\UnusableValue;

/**
 * One or some of given options, everybody for themselves: the options chosen. Where only one may be, the later choice
 * of somebody with two devices is the one.
 */
final readonly class Choose extends Things
{
    public function isAlone(BlockSettings $settings): bool
    {
        return true;
    }

    public function isShown(BlockSettings $settings): bool
    {
        return $settings->shown;
    }

    public function lacks(Block $block): ?string
    {
        return match (true) {
            !$block->hasPrompt() => 'materials.original.empty_slot',
            \count($block->settings->items) < 2 => 'materials.original.no_options',
            default => null,
        };
    }

    public function read(string $value, Block $block): string
    {
        $read = parent::read($value, $block);
        if (!$block->settings->several && \count(self::things($read)) > 1) {
            throw UnusableValue::wrong();
        }

        return $read;
    }

    public function merge(string $base, string $theirs, string $mine): string
    {
        return $mine === $base ? $theirs : $mine;
    }

    public function share(string $value, Block $block): float
    {
        return [] === self::things($value) ? 0.0 : 1.0;
    }

    protected function thing(string $id, mixed $thing, Block $block): bool
    {
        return true === $thing && null !== $block->settings->item($id) ? true : throw UnusableValue::wrong();
    }
}
