<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\HoldUp;

use FreshHuddle\App\Debrief\Sum\SumView;
use FreshHuddle\App\Materials\Cupboard\BlockHtml;
use FreshHuddle\App\Materials\Cupboard\PageView;

/**
 * A piece of work as the class sees it: nothing in it says whose it is unless names are shown.
 */
final readonly class ShownPiece
{
    /**
     * @param string            $title   of the worksheet
     * @param ShownGroup|null   $group   whose it is; null where no names are shown, and where it is no group's
     * @param list<PageView>    $pages   what is shown of it
     * @param list<BlockHtml>   $html    the texts to read, as they are shown
     * @param list<ShownAnswer> $answers what stands in its places
     * @param SumView|null      $sum     a sum over all groups; then there are no pages
     * @param string            $pointer what the teacher points at, as the page names it; '' for nothing
     */
    public function __construct(
        public string $title,
        public ?ShownGroup $group,
        public array $pages,
        public array $html,
        public array $answers,
        public string $pointer,
        public ?SumView $sum = null,
    ) {
    }
}
