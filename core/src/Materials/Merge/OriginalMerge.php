<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Materials\Merge;

use FreshHuddle\Core\Materials\Block;
use FreshHuddle\Core\Materials\BlockItem;
use FreshHuddle\Core\Materials\BlockSettings;
use FreshHuddle\Core\Materials\BlockVariant;
use FreshHuddle\Core\Materials\Exception\UnusableOriginal;
use FreshHuddle\Core\Materials\Original;
use FreshHuddle\Core\Materials\Page;
use FreshHuddle\Core\Materials\Variant;

/**
 * Brings together what was made of an original in two windows. Texts go together word by word (ThreeWay); what only one
 * side has changed is as that side has it; what one side took out stays where the other has changed it; where both
 * chose something else, the side that is saved last is right. Nothing that was written is lost.
 *
 * What it may cost is known before it begins: the more texts both sides have changed, the sooner one of them is taken
 * as changed as a whole.
 *
 * Complexity: that of ThreeWay for each text, in all at most as much as two texts that differ in 1,000 words; and O(b²)
 * for b blocks
 */
final readonly class OriginalMerge
{
    /** Steps squared of all texts that both sides have changed. */
    private const BUDGET = 2 * Difference::MOST_STEPS ** 2;

    public function __construct(private ThreeWay $words = new ThreeWay())
    {
    }

    /**
     * @param Original $base   what both started from
     * @param Original $theirs what is saved now
     * @param Original $mine   what has just come in
     *
     * @throws UnusableOriginal if both together are more than an original can hold
     */
    public function merge(Original $base, Original $theirs, Original $mine): Original
    {
        $contested = self::contested($base, $theirs, $mine);
        $steps = min(Difference::MOST_STEPS, (int) floor(sqrt(self::BUDGET / max(1, $contested))));

        return (new self(new ThreeWay(new Difference($steps))))->together($base, $theirs, $mine);
    }

    /**
     * @return int how many texts both sides have changed, each in its own way
     */
    public static function contested(Original $base, Original $theirs, Original $mine): int
    {
        [$b, $t, $m] = [self::texts($base), self::texts($theirs), self::texts($mine)];
        $contested = 0;
        foreach (array_intersect_key($m, $t) as $key => $text) {
            $contested += $text !== ($b[$key] ?? '') && $t[$key] !== ($b[$key] ?? '') && $text !== $t[$key] ? 1 : 0;
        }

        return $contested;
    }

    /**
     * @return array<string, string> every text of an original that is brought together word by word
     */
    private static function texts(Original $original): array
    {
        $texts = [];
        foreach ($original->blocks() as $block) {
            $texts["{$block->id}|text"] = $block->text;
            $texts["{$block->id}|passage"] = $block->settings->passage;
            foreach (['items' => $block->settings->items, 'heads' => $block->settings->heads] as $list => $items) {
                foreach ($items as $item) {
                    $texts["{$block->id}|{$list}|{$item->id}"] = $item->text;
                }
            }
            foreach ($block->variants as $variant) {
                $texts["{$block->id}|variant|{$variant->variant}"] = $variant->text;
                $texts["{$block->id}|variant passage|{$variant->variant}"] = $variant->passage;
            }
        }

        return $texts;
    }

    /**
     * @throws UnusableOriginal
     */
    private function together(Original $base, Original $theirs, Original $mine): Original
    {
        [$b, $t, $m] = [self::blocks($base), self::blocks($theirs), self::blocks($mine)];
        $kept = MergedOrder::between(
            array_map(self::block(...), $b),
            array_map(self::block(...), $t),
            array_map(self::block(...), $m),
        );
        $pageOf = $blocks = [];
        foreach ($kept as $id) {
            $isMoved = isset($m[$id]) && ($b[$id]['page'] ?? null) !== $m[$id]['page'];
            $pageOf[$id] = $isMoved || !isset($t[$id]) ? $m[$id]['page'] ?? '' : $t[$id]['page'];
            $blocks[$id] = $this->merged(
                $b[$id]['block'] ?? null,
                $t[$id]['block'] ?? null,
                $m[$id]['block'] ?? null,
            );
        }
        $pages = [];
        [$bp, $tp, $mp] = [self::byId($base->pages), self::byId($theirs->pages), self::byId($mine->pages)];
        foreach (MergedOrder::woven(array_keys($bp), array_keys($tp), array_keys($mp)) as $id) {
            $places = array_keys($pageOf, $id, true);
            $isTakenOut = isset($bp[$id]) && (!isset($tp[$id]) || !isset($mp[$id]));
            if ($isTakenOut && [] === $places) {
                continue;
            }
            $order = MergedOrder::woven(
                self::on($b, $id, $places),
                self::on($t, $id, $places),
                self::on($m, $id, $places),
            );
            $title =
                self::mergeValue($bp[$id]->title ?? null, $tp[$id]->title ?? null, $mp[$id]->title ?? null) ?? '';
            // Where a block came to this page by neither side's order alone, it stands at the end.
            $pages[] = new Page(
                $id,
                $title,
                array_map(
                    static fn (string $block): Block => $blocks[$block],
                    array_values(array_unique([...$order, ...$places])),
                ),
            );
        }

        return new Original(
            self::mergeValue($base->title, $theirs->title, $mine->title) ?? $mine->title,
            $pages,
            $this->variants($base, $theirs, $mine),
        );
    }

    /**
     * @template T
     *
     * @param T|null $base
     * @param T|null $theirs null: not there
     * @param T|null $mine   null: not there
     *
     * @return T|null
     */
    public static function mergeValue(mixed $base, mixed $theirs, mixed $mine): mixed
    {
        return null === $mine || (null !== $theirs && MergedOrder::same($mine, $base)) ? $theirs : $mine;
    }

    private function merged(?Block $base, ?Block $theirs, ?Block $mine): Block
    {
        if (null === $theirs || null === $mine) {
            return $mine ?? ($theirs ?? throw new \LogicException('A block that is nowhere.'));
        }
        $base ??= new Block($mine->id, $mine->kind, '');

        return new Block(
            $mine->id,
            self::mergeValue($base->kind, $theirs->kind, $mine->kind) ?? $mine->kind,
            $this->words->merge($base->text, $theirs->text, $mine->text),
            $this->settings($base->settings, $theirs->settings, $mine->settings),
            $this->blockVariants($base, $theirs, $mine),
        );
    }

    private function settings(BlockSettings $base, BlockSettings $theirs, BlockSettings $mine): BlockSettings
    {
        return new BlockSettings(
            $this->items($base->items, $theirs->items, $mine->items),
            $this->items($base->heads, $theirs->heads, $mine->heads),
            $this->words->merge($base->passage, $theirs->passage, $mine->passage),
            self::mergeValue($base->address, $theirs->address, $mine->address) ?? '',
            self::mergeValue($base->alone, $theirs->alone, $mine->alone) ?? false,
            self::mergeValue($base->several, $theirs->several, $mine->several) ?? false,
            self::mergeValue($base->growing, $theirs->growing, $mine->growing) ?? false,
            self::mergeValue($base->shown, $theirs->shown, $mine->shown) ?? true,
            self::mergeValue($base->media, $theirs->media, $mine->media) ?? '',
            self::mergeValue($base->part, $theirs->part, $mine->part) ?? $mine->part,
        );
    }

    /**
     * @param list<BlockItem> $base
     * @param list<BlockItem> $theirs
     * @param list<BlockItem> $mine
     *
     * @return list<BlockItem>
     */
    private function items(array $base, array $theirs, array $mine): array
    {
        [$b, $t, $m] = [self::byId($base), self::byId($theirs), self::byId($mine)];
        $kept = MergedOrder::between($b, $t, $m);

        return array_map(
            fn (string $id): BlockItem => isset($t[$id], $m[$id])
                ? new BlockItem(
                    $id,
                    $this->words->merge($b[$id]->text ?? '', $t[$id]->text, $m[$id]->text),
                    self::mergeValue($b[$id]->under ?? null, $t[$id]->under, $m[$id]->under) ?? '',
                )
                : $m[$id] ?? $t[$id],
            array_values(array_intersect(MergedOrder::woven(array_keys($b), array_keys($t), array_keys($m)), $kept)),
        );
    }

    /**
     * @return list<BlockVariant>
     */
    private function blockVariants(Block $base, Block $theirs, Block $mine): array
    {
        $by = static fn (Block $block): array => array_combine(
            array_map(static fn (BlockVariant $blockVariant): string => $blockVariant->variant, $block->variants),
            $block->variants,
        );
        [$b, $t, $m] = [$by($base), $by($theirs), $by($mine)];
        $kept = MergedOrder::between($b, $t, $m);

        return array_map(
            fn (string $id): BlockVariant => isset($t[$id], $m[$id])
                ? new BlockVariant(
                    $id,
                    $this->words->merge($b[$id]->text ?? '', $t[$id]->text, $m[$id]->text),
                    $this->words->merge($b[$id]->passage ?? '', $t[$id]->passage, $m[$id]->passage),
                )
                : $m[$id] ?? $t[$id],
            array_values(array_intersect(MergedOrder::woven(array_keys($b), array_keys($t), array_keys($m)), $kept)),
        );
    }

    /**
     * @return list<Variant>
     */
    private function variants(Original $base, Original $theirs, Original $mine): array
    {
        [$b, $t, $m] = [self::byId($base->variants), self::byId($theirs->variants), self::byId($mine->variants)];
        $kept = MergedOrder::between($b, $t, $m);

        return array_map(
            static fn (string $id): Variant => new Variant(
                $id,
                self::mergeValue($b[$id]->name ?? null, $t[$id]->name ?? null, $m[$id]->name ?? null) ?? '',
            ),
            array_values(array_intersect(MergedOrder::woven(array_keys($b), array_keys($t), array_keys($m)), $kept)),
        );
    }

    /**
     * @return array<string, array{block: Block, page: string}> by id
     */
    private static function blocks(Original $original): array
    {
        $blocks = [];
        foreach ($original->pages as $page) {
            foreach ($page->blocks as $block) {
                $blocks[$block->id] = ['block' => $block, 'page' => $page->id];
            }
        }

        return $blocks;
    }

    /**
     * @param array<string, array{block: Block, page: string}> $blocks
     * @param list<string>                                     $among
     *
     * @return list<string> ids of those on a page, in order
     */
    private static function on(array $blocks, string $page, array $among): array
    {
        return array_values(
            array_filter(
                array_map(strval(...), array_keys($blocks)),
                static fn (string $id): bool => $blocks[$id]['page'] === $page && \in_array($id, $among, true),
            ),
        );
    }

    /**
     * @param array{block: Block, page: string} $block
     */
    private static function block(array $block): Block
    {
        return $block['block'];
    }

    /**
     * @template T of Page|Variant|BlockItem
     *
     * @param list<T> $list
     *
     * @return array<string, T>
     */
    private static function byId(array $list): array
    {
        return array_combine(array_map(static fn (Page|Variant|BlockItem $item): string => $item->id, $list), $list);
    }
}
