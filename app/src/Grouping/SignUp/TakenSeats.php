<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\SignUp;

/**
 * How many seats of a group are taken.
 */
final readonly class TakenSeats
{
    public function __construct(public string $group, public int $taken)
    {
    }
}
