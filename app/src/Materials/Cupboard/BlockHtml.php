<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Cupboard;

/**
 * A text as it is shown.
 */
final readonly class BlockHtml
{
    /**
     * @param string $html only what belongs to a text (Markdown)
     */
    public function __construct(public string $block, public string $html)
    {
    }
}
