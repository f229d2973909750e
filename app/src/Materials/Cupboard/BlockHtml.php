<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Cupboard;

/**
 * A text as it is shown.
 */
final readonly class BlockHtml
{
    /**
     * @param string $html    only what belongs to a text (Markdown)
     * @param string $variant in which it reads so; '' for the plain form
     */
    public function __construct(public string $block, public string $html, public string $variant = '')
    {
    }
}
