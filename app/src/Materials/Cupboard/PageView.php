<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Cupboard;

use FreshHuddle\Core\Materials\Block;
use FreshHuddle\Core\Materials\Page;

/**
 * A page, on its way in and out.
 */
final readonly class PageView
{
    /**
     * @param list<BlockView> $blocks
     */
    public function __construct(public string $id, public string $title, public array $blocks)
    {
    }

    public static function fromPage(Page $page): self
    {
        return new self($page->id, $page->title, array_map(BlockView::fromBlock(...), $page->blocks));
    }

    public function page(): Page
    {
        return new Page(
            $this->id,
            $this->title,
            array_map(static fn (BlockView $block): Block => $block->block(), $this->blocks),
        );
    }
}
