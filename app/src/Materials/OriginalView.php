<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials;

final readonly class OriginalView
{
    /**
     * @param int             $version 1 when first saved; send it back with a change
     * @param list<BlockView> $blocks
     */
    public function __construct(public string $id, public string $title, public int $version, public array $blocks)
    {
    }
}
