<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\SignUp;

use FreshHuddle\App\Http\Body\Id;

/**
 * The body of a request: the group a student chooses.
 */
final readonly class TakeSeat
{
    public function __construct(#[Id] public string $table)
    {
    }
}
