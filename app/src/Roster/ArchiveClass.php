<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster;

/**
 * The body of a request: put a class away, or bring it back.
 */
final readonly class ArchiveClass
{
    public function __construct(public bool $archived)
    {
    }
}
