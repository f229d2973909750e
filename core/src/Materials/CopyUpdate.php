<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Materials;

/**
 * Brings a copy to what its original is now. What students wrote is never touched: where somebody has worked the slot
 * stays as it was, and only what is new is added round it.
 */
final readonly class CopyUpdate
{
    /**
     * @param list<Page>                                    $pages   of the copy, afterwards
     * @param list<array{change: CopyChange, what: string}> $changes what is done, in the order of the pages; `what`:
     *     the page's title or the block's text
     */
    private function __construct(public array $pages, public array $changes)
    {
    }

    /**
     * @param list<Page>   $copy     as it is
     * @param list<Page>   $original as it is now, in the copy's variant
     * @param list<string> $worked   ids of the slots in which somebody has worked
     *
     * Complexity: O(blocks²), of which there are 80 at the most
     */
    public static function between(array $copy, array $original, array $worked): self
    {
        $before = array_column(
            array_merge(...array_map(static fn (Page $page): array => $page->blocks, $copy), ...[[]]),
            null,
            'id',
        );
        $known = array_column($copy, null, 'id');
        $pages = $changes = [];
        $placed = [];
        foreach ($original as $page) {
            $isNew = !isset($known[$page->id]);
            if ($isNew) {
                $changes[] = [
                    'change' => CopyChange::PageAdded,
                    'what' => '' !== $page->title || [] === $page->blocks ? $page->title : $page->blocks[0]->text,
                ];
            }
            $blocks = [];
            foreach ($page->blocks as $block) {
                $placed[$block->id] = true;
                [$made, $change] = self::block(
                    $before[$block->id] ?? null,
                    $block,
                    \in_array($block->id, $worked, true),
                );
                if (null !== $change && (CopyChange::BlockAdded !== $change || !$isNew)) {
                    $changes[] = ['change' => $change, 'what' => $block->text];
                }
                array_push($blocks, ...$made);
            }
            $pages[] = new Page($page->id, $page->title, $blocks);
        }

        return new self(...self::left($copy, $pages, $changes, $placed, $worked));
    }

    public function isNothing(): bool
    {
        return [] === $this->changes;
    }

    /**
     * @return array{list<Block>, CopyChange|null} what stands there afterwards
     */
    private static function block(?Block $was, Block $block, bool $worked): array
    {
        if (null === $was) {
            return [[$block], CopyChange::BlockAdded];
        }
        if ($was->isLike($block)) {
            return [[$block], null];
        }
        if (!$worked || !$was->kind->isSlot()) {
            return [[$block], CopyChange::BlockChanged];
        }
        $now = new Block(mb_substr($block->id, 0, 36).'-now', BlockKind::Text, $block->text);

        return [$was->text === $block->text ? [$was] : [$now, $was], CopyChange::BothShown];
    }

    /**
     * What the original has no more: it stays at the end of its page where somebody has worked.
     *
     * @param list<Page>                                    $copy
     * @param list<Page>                                    $pages
     * @param list<array{change: CopyChange, what: string}> $changes
     * @param array<string, true>                           $placed
     * @param list<string>                                  $worked
     *
     * @return array{list<Page>, list<array{change: CopyChange, what: string}>}
     */
    private static function left(array $copy, array $pages, array $changes, array $placed, array $worked): array
    {
        foreach ($copy as $page) {
            $stays = [];
            foreach ($page->blocks as $block) {
                if (isset($placed[$block->id]) || str_ends_with($block->id, '-now')) {
                    continue;
                }
                $kept = \in_array($block->id, $worked, true);
                $changes[] = [
                    'change' => $kept ? CopyChange::BlockStays : CopyChange::BlockGone,
                    'what' => $block->text,
                ];
                if ($kept) {
                    $stays[] = $block;
                }
            }
            if ([] === $stays) {
                continue;
            }
            $at = array_search($page->id, array_column($pages, 'id'), true);
            if (\is_int($at)) {
                array_splice($pages, $at, 1, [
                    new Page($pages[$at]->id, $pages[$at]->title, [...$pages[$at]->blocks, ...$stays]),
                ]);
            } else {
                $pages[] = new Page($page->id, $page->title, $stays);
            }
        }

        return [$pages, $changes];
    }
}
