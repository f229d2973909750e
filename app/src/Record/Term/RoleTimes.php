<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record\Term;

/**
 * How often somebody had a role.
 */
final readonly class RoleTimes
{
    public function __construct(public string $role, public int $times)
    {
    }
}
