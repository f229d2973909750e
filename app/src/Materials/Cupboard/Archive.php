<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Cupboard;

final readonly class Archive
{
    public function __construct(public bool $archived)
    {
    }
}
