<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Ready\SetUp;

/**
 * What one group should find in the course portal.
 */
final readonly class WantedPost
{
    /**
     * @param list<string> $audience ids of the group's students
     * @param string       $digest   of all it says, its unit, its due time and whether it counts
     */
    public function __construct(public string $group, public array $audience, public string $digest)
    {
    }
}
