<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Writing;

use FreshHuddle\App\Materials\Cupboard\PageView;
use FreshHuddle\Core\Materials\SlotAccess;

/**
 * Who fills a slot that is for a part of the group only.
 */
final readonly class SlotFillers
{
    /**
     * @param list<string> $students ids; none where the group has no such seat
     * @param bool         $private  the others of the group do not see what stands in it
     */
    public function __construct(public string $slot, public array $students, public bool $private)
    {
    }

    /**
     * @param list<PageView> $pages
     *
     * @return list<self> a slot that everybody fills is not among them
     */
    public static function inPages(array $pages, SlotAccess $access): array
    {
        $fillers = [];
        foreach ($pages as $page) {
            foreach ($page->blocks as $block) {
                if (!$block->settings->part->isEverybody()) {
                    $fillers[] = new self(
                        $block->id,
                        $access->fillers($block->block()),
                        $block->settings->part->private,
                    );
                }
            }
        }

        return $fillers;
    }
}
