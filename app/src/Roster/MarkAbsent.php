<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster;

final readonly class MarkAbsent
{
    public function __construct(public bool $absent)
    {
    }
}
