<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster;

/**
 * The body of a request: who is absent today.
 */
final readonly class MarkAbsent
{
    public function __construct(public bool $absent)
    {
    }
}
