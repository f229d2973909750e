<?php

declare(strict_types=1);

namespace FreshHuddle\Core\DryRun;

use FreshHuddle\Core\Materials\Block;
use FreshHuddle\Core\Materials\BlockItem;
use FreshHuddle\Core\Materials\BlockKind;

/**
 * What stands in a slot of any kind when a simulated student has written so much: the text itself; a number; the first
 * few things ticked, sorted, filled or mended, more of them the longer the text. The same text gives the same value.
 */
final class Scribble
{
    /** So many letters are one thing done. */
    private const LETTERS = 12;

    /**
     * @param string $text what they have written; not ''
     *
     * @return string|null as SlotKind::read takes it; null where this slot cannot be filled so: it takes photos, or
     *                     nothing
     */
    public static function in(Block $block, string $text): ?string
    {
        $things = intdiv(mb_strlen($text), self::LETTERS) + 1;
        $items = \array_slice($block->settings->items, 0, $things);

        return match ($block->kind) {
            BlockKind::Each, BlockKind::Together => $text,
            BlockKind::Number => (string) (mb_strlen($text) % 100),
            BlockKind::Choose => self::written(\array_slice($items, 0, 1), static fn (): bool => true),
            BlockKind::Ticks => self::written($items, static fn (): bool => true),
            BlockKind::Mend => self::written($items, static fn (BlockItem $item): string => $item->text.' (mended)'),
            BlockKind::Sort => self::sorted($block, $items),
            BlockKind::Table => self::filled($block, $items, $text),
            BlockKind::MarkUp => self::marked($block),
            BlockKind::OwnPictures,
            BlockKind::Text,
            BlockKind::Link,
            BlockKind::Picture,
            BlockKind::SpokenNote => null,
        };
    }

    /**
     * @param list<BlockItem>                  $items
     * @param callable(BlockItem): (bool|string) $done
     */
    private static function written(array $items, callable $done): ?string
    {
        $things = [];
        foreach ($items as $item) {
            $things[$item->id] = $done($item);
        }

        return self::json($things);
    }

    /**
     * @param list<BlockItem> $cards
     */
    private static function sorted(Block $block, array $cards): ?string
    {
        $heads = $block->settings->heads;
        $things = [];
        foreach ([] === $heads ? [] : $cards as $i => $card) {
            $under = '' === $card->under ? $heads[$i % \count($heads)]->id : $card->under;
            $things[$card->id] = ['place' => $i, 'under' => $under];
        }

        return self::json($things);
    }

    /**
     * @param list<BlockItem> $rows
     */
    private static function filled(Block $block, array $rows, string $text): ?string
    {
        $things = [];
        foreach ($rows as $row) {
            foreach ($block->settings->heads as $column) {
                $things[$row->id.'|'.$column->id] = mb_substr($text, 0, 40);
            }
        }

        return self::json($things);
    }

    private static function marked(Block $block): ?string
    {
        $to = min(12, mb_strlen($block->settings->passage));
        $kind = $block->settings->heads[0] ?? null;

        return null === $kind || 0 === $to
            ? null
            : self::json(['m1' => ['from' => 0, 'to' => $to, 'kind' => $kind->id]]);
    }

    /**
     * @param array<string, mixed> $things
     */
    private static function json(array $things): ?string
    {
        return [] === $things ? null : json_encode($things, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE);
    }
}
