<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\HandOut;

use FreshHuddle\App\Materials\Cupboard\BlockHtml;
use FreshHuddle\App\Materials\Cupboard\PageView;
use FreshHuddle\Core\Materials\HandOutWay;

/**
 * A sheet as a student will have it, with nothing filled in.
 */
final readonly class SheetView
{
    /**
     * @param string          $id    of the original it is made from
     * @param list<PageView>  $pages
     * @param list<BlockHtml> $html
     */
    public function __construct(
        public string $id,
        public string $title,
        public HandOutWay $way,
        public array $pages,
        public array $html,
    ) {
    }
}
