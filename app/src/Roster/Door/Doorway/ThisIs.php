<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Door\Doorway;

use FreshHuddle\App\Http\Body\Id;

/**
 * The body of a request: which student somebody is who waits.
 */
final readonly class ThisIs
{
    public function __construct(#[Id] public string $student)
    {
    }
}
