<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Debrief\HoldUp;

use FreshHuddle\Core\Materials\Block;
use FreshHuddle\Core\Materials\BlockItem;
use FreshHuddle\Core\Materials\Page;

/**
 * What of a copy is shown to everybody: all of it, a page, a place, or one answer in a place; and in what order answers
 * stand there, so that nothing in it says whose they are.
 */
final readonly class ShownPart
{
    /**
     * @param string|null $page  null: all pages
     * @param string|null $slot  only this place
     * @param string|null $owner only the answer of this student in it
     */
    public function __construct(public ?string $page, public ?string $slot = null, public ?string $owner = null)
    {
    }

    public function hasPage(string $page): bool
    {
        return null === $this->page || $page === $this->page;
    }

    /**
     * What only a part of the group may see is not shown with the page it stands on: it is shown by itself or not at
     * all.
     */
    public function hasBlock(Block $block): bool
    {
        return null === $this->slot
            ? null === $block->slot() || !$block->settings->part->private
            : $block->id === $this->slot;
    }

    public function hasAnswer(string $slot, string $owner): bool
    {
        return null === $this->slot
            || ($slot === $this->slot && (null === $this->owner || $owner === $this->owner));
    }

    /**
     * Which blocks would say whose work it is, as not all groups have the same there.
     *
     * @param list<list<Page>> $copies the pages of all copies of a worksheet, one for each variant
     *
     * @return array<string, true> by block; O(n) in all blocks
     */
    public static function telling(array $copies): array
    {
        $texts = $telling = [];
        foreach ($copies as $pages) {
            foreach ($pages as $page) {
                foreach ($page->blocks as $block) {
                    $texts[$block->id] ??= $block->text;
                    if ($texts[$block->id] !== $block->text) {
                        $telling[$block->id] = true;
                    }
                }
            }
        }

        return $telling;
    }

    /**
     * The block as a class may see it: without what it says in other variants, and without the right answers.
     *
     * @param bool $isTelling its text would say whose work it is, and nobody is to know
     *
     * @return Block|null null: there is nothing in it for everybody's eyes
     */
    public static function forAll(Block $block, bool $isTelling): ?Block
    {
        if ($isTelling && null === $block->slot()) {
            return null;
        }

        return new Block(
            $block->id,
            $block->kind,
            $isTelling ? '' : $block->text,
            $block->settings->withItems(
                array_map(
                    static fn (BlockItem $item): BlockItem => new BlockItem($item->id, $item->text),
                    $block->settings->items,
                ),
            ),
        );
    }

    /**
     * @param list<string> $owners whose answers stand in a place, in the order of their seats
     * @param string       $salt   something nobody outside knows
     *
     * @return list<string> the same in an order that says nothing of seats and stays the same while it is shown;
     *                      O(n log n)
     */
    public static function mix(array $owners, string $salt): array
    {
        usort(
            $owners,
            static fn (string $one, string $other): int => hash('sha256', $salt.$one) <=> hash('sha256', $salt.$other),
        );

        return $owners;
    }
}
