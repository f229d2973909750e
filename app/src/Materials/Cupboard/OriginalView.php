<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Cupboard;

use FreshHuddle\Core\Materials\Variant;

/**
 * A worksheet to be written: its pages and variants.
 */
final readonly class OriginalView
{
    /**
     * @param int             $version    1 when first saved; send it back with a change
     * @param list<PageView>  $pages
     * @param list<Variant>   $variants
     * @param list<BlockHtml> $html       the texts to read, as they are shown
     * @param string|null     $unfinished why it cannot be copied yet, in words; null where it can
     */
    public function __construct(
        public string $id,
        public string $title,
        public string $subject,
        public string $year,
        public string $about,
        public int $version,
        public array $pages,
        public array $variants,
        public ?string $unfinished,
        public bool $archived,
        public array $html,
    ) {
    }
}
