<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Cupboard;

/**
 * The body of a request: put a worksheet away, or bring it back.
 */
final readonly class Archive
{
    public function __construct(public bool $archived)
    {
    }
}
