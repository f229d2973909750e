<?php

declare(strict_types=1);

namespace FreshHuddle\Core\DryRun;

use FreshHuddle\Core\Materials\Block;
use FreshHuddle\Core\Materials\BlockKind;
use FreshHuddle\Core\Materials\Page;

/**
 * What there is to fill on the pages of a worksheet, and to read before it.
 */
final class Blanks
{
    /** A slot that is not written in but ticked, sorted or counted takes as long as so many letters. */
    private const LETTERS = 40;

    /**
     * @param list<Page> $pages as those who fill them see them
     *
     * @return list<Blank> in reading order. Complexity: O(letters)
     */
    public static function of(array $pages): array
    {
        $blanks = [];
        $words = 0;
        foreach ($pages as $page) {
            foreach ($page->blocks as $block) {
                $words += self::words($block);
                $slot = $block->kind->slot();
                if (null !== $slot && null !== Scribble::in($block, 'x')) {
                    $blanks[] = new Blank(
                        $block->id,
                        $slot->isAlone($block->settings),
                        $words,
                        \in_array($block->kind, [BlockKind::Each, BlockKind::Together], true) ? 0 : self::LETTERS,
                    );
                    $words = 0;
                }
            }
        }

        return $blanks;
    }

    private static function words(Block $block): int
    {
        return (int) preg_match_all('/\pL+/u', $block->text.' '.$block->settings->passage);
    }
}
