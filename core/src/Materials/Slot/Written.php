<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Materials\Slot;

use FreshHuddle\Core\Materials\Block;
use FreshHuddle\Core\Materials\BlockSettings;
use FreshHuddle\Core\Materials\Exception\UnusableValue;
use FreshHuddle\Core\Materials\Merge\ThreeWay;
use FreshHuddle\Core\Visible;

/**
 * What slots have in common that hold a text: two who write come together word by word.
 */
abstract readonly class Written implements SlotKind
{
    public function isShown(BlockSettings $settings): bool
    {
        return true;
    }

    public function lacks(Block $block): ?string
    {
        return $block->hasPrompt() ? null : 'materials.original.empty_slot';
    }

    public function read(string $value, Block $block): string
    {
        return mb_strlen($value) > Block::MAX_TEXT ? throw UnusableValue::tooLong() : $value;
    }

    public function merge(string $base, string $theirs, string $mine): string
    {
        return (new ThreeWay())->merge($base, $theirs, $mine);
    }

    public function isFilled(string $value, Block $block): bool
    {
        return Visible::check($value);
    }

    public function share(string $value, Block $block): float
    {
        return $this->isFilled($value, $block) ? 1.0 : 0.0;
    }

    public function put(string $before, string $after): int
    {
        // What both begin with says nothing: of a text that is written on only what is new is looked at.
        $same = str_starts_with($after, $before) ? \strlen($before) : strspn($before ^ $after, "\0");
        $same = \strlen($after) === $same && \strlen($before) === $same ? $same : self::lastSpace($after, $same);
        [$gone, $new] = [substr($before, $same), substr($after, $same)];
        if ('' === trim($gone)) {
            return (int) preg_match_all('/\S+/u', $new);
        }
        $was = self::words($gone);
        $put = 0;
        foreach (self::words($new) as $word => $often) {
            $put += max(0, $often - ($was[$word] ?? 0));
        }

        return $put;
    }

    /**
     * @return int the place after the last space before this place, in bytes; 0 where there is none
     */
    private static function lastSpace(string $text, int $before): int
    {
        $space = 0 === $before ? false : strrpos($text, ' ', $before - 1 - \strlen($text));

        return false === $space ? 0 : $space + 1;
    }

    /**
     * @return array<string, int> how often each word stands in a text
     */
    private static function words(string $text): array
    {
        $words = preg_split('/\s+/u', $text, -1, \PREG_SPLIT_NO_EMPTY);
        $often = [];
        foreach (false === $words ? [] : $words as $word) {
            $often["w{$word}"] = ($often["w{$word}"] ?? 0) + 1;
        }

        return $often;
    }
}
