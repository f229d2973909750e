<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster;

final readonly class ArchiveClass
{
    public function __construct(public bool $archived)
    {
    }
}
