<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Materials\Slot;

use FreshHuddle\Core\Materials\Block;
use FreshHuddle\Core\Materials\BlockSettings;
use FreshHuddle\Core\Materials\Exception\UnusableValue;

/**
 * A number from everybody. It is kept in one form (“-3.5”: no plus, no spaces, a point, no needless zeros), with up to
 * twelve digits and six decimals; the page brings what is typed into it.
 */
final readonly class Number implements SlotKind
{
    private const FORM = '/^(?:0|-?(?:[1-9]\d{0,11}(?:\.\d{0,5}[1-9])?|0\.\d{0,5}[1-9]))$/D';

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
        return $block->hasPrompt() ? null : 'materials.original.empty_slot';
    }

    public function read(string $value, Block $block): string
    {
        return '' === $value || 1 === preg_match(self::FORM, $value) ? $value : throw UnusableValue::wrong();
    }

    public function merge(string $base, string $theirs, string $mine): string
    {
        return $mine === $base ? $theirs : $mine;
    }

    public function isFilled(string $value, Block $block): bool
    {
        return '' !== $value;
    }

    public function share(string $value, Block $block): float
    {
        return '' === $value ? 0.0 : 1.0;
    }

    public function put(string $before, string $after): int
    {
        return '' === $after || $after === $before ? 0 : 1;
    }
}
