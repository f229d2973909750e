<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Materials;

use FreshHuddle\Core\Materials\Exception\UnusableOriginal;

/**
 * The master of a material: pages of blocks, in one form or in several variants. Students never get it; they get
 * copies.
 */
final readonly class Original
{
    public const MAX_BLOCKS = 80;
    public const MAX_PAGES = 20;
    public const MAX_VARIANTS = 40;
    public const MAX_TITLE = 120;

    /**
     * @param list<Page>    $pages    in reading order
     * @param list<Variant> $variants in order; none: it has one form
     *
     * @throws UnusableOriginal
     */
    public function __construct(public string $title, public array $pages, public array $variants = [])
    {
        if ('' === trim($title) || mb_strlen($title) > self::MAX_TITLE) {
            throw UnusableOriginal::badTitle(self::MAX_TITLE);
        }
        if (\count($pages) > self::MAX_PAGES) {
            throw UnusableOriginal::tooManyPages(self::MAX_PAGES);
        }
        if (\count($this->blocks()) > self::MAX_BLOCKS) {
            throw UnusableOriginal::tooManyBlocks(self::MAX_BLOCKS);
        }
        if (\count($variants) > self::MAX_VARIANTS) {
            throw UnusableOriginal::tooManyVariants(self::MAX_VARIANTS);
        }
        foreach ([$pages, $variants, $this->blocks()] as $list) {
            $ids = [];
            foreach ($list as $item) {
                if (1 !== preg_match(Block::ID, $item->id)) {
                    throw UnusableOriginal::badId($item->id);
                }
                if (isset($ids[$item->id])) {
                    throw UnusableOriginal::doubledId($item->id);
                }
                $ids[$item->id] = true;
            }
        }
        foreach ([...array_column($pages, 'title'), ...array_column($variants, 'name')] as $name) {
            if (mb_strlen($name) > self::MAX_TITLE) {
                throw UnusableOriginal::badTitle(self::MAX_TITLE);
            }
        }
    }

    /**
     * @return list<Block> of all pages
     */
    public function blocks(): array
    {
        return array_merge(...array_map(static fn (Page $page): array => $page->blocks, $this->pages), ...[[]]);
    }

    /**
     * @return list<Block> the blocks students fill
     */
    public function slots(): array
    {
        return array_values(array_filter($this->blocks(), static fn (Block $block): bool => $block->kind->isSlot()));
    }

    /**
     * @return list<string> ids of the pictures and recordings in it
     */
    public function media(): array
    {
        return array_values(
            array_unique(
                array_filter(
                    array_map(static fn (Block $block): string => $block->settings->media, $this->blocks()),
                    static fn (string $id): bool => '' !== $id,
                ),
            ),
        );
    }

    /**
     * The same without the pictures and recordings that are not among these.
     *
     * @param list<string> $known ids
     */
    public function withMediaAmong(array $known): self
    {
        return $this->withMedia(static fn (string $id): string => \in_array($id, $known, true) ? $id : '');
    }

    /**
     * The same with other pictures and recordings.
     *
     * @param \Closure(string): string $to what stands for each id; '' for nothing
     */
    public function withMedia(\Closure $to): self
    {
        return new self(
            $this->title,
            array_map(
                static fn (Page $page): Page => new Page(
                    $page->id,
                    $page->title,
                    array_map(
                        static fn (Block $block): Block => '' === $block->settings->media
                            ? $block
                            : new Block(
                                $block->id,
                                $block->kind,
                                $block->text,
                                $block->settings->withMedia($to($block->settings->media)),
                                $block->variants,
                            ),
                        $page->blocks,
                    ),
                ),
                $this->pages,
            ),
            $this->variants,
        );
    }

    /**
     * Why it cannot be copied yet.
     */
    public function unfinished(): ?UnusableOriginal
    {
        if ([] === array_filter($this->blocks(), static fn (Block $block): bool => !$block->isEmpty())) {
            return UnusableOriginal::withoutContent();
        }
        foreach ($this->slots() as $block) {
            foreach (['', ...array_column($this->variants, 'id')] as $variant) {
                $lacks = $block->slot()?->lacks($block->in($variant));
                if (null !== $lacks) {
                    return UnusableOriginal::unfinished($lacks, $block->text);
                }
            }
        }

        return null;
    }

    /**
     * What a copy is made of: the pages as they are in one variant, without texts that are still empty and pages that
     * have nothing on them.
     *
     * @param string $variant its id; '' for the form all others go back to
     *
     * @return list<Page>
     *
     * @throws UnusableOriginal if it is not finished
     */
    public function forCopies(string $variant = ''): array
    {
        $unfinished = $this->unfinished();
        if (null !== $unfinished) {
            throw $unfinished;
        }
        $pages = [];
        foreach ($this->pages as $page) {
            $blocks = array_map(static fn (Block $block): Block => $block->in($variant), $page->blocks);
            $blocks = array_values(
                array_filter($blocks, static fn (Block $block): bool => $block->kind->isSlot() || !$block->isEmpty()),
            );
            if ([] !== $blocks) {
                $pages[] = new Page($page->id, $page->title, $blocks);
            }
        }

        return $pages;
    }
}
