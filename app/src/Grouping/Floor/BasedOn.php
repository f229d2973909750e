<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Floor;

final readonly class BasedOn
{
    public function __construct(public int $basedOn)
    {
    }
}
