<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Materials;

/**
 * A page of an original.
 */
final readonly class Page
{
    /**
     * @param string      $title  may be ''
     * @param list<Block> $blocks in reading order
     */
    public function __construct(public string $id, public string $title, public array $blocks)
    {
    }
}
