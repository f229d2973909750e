<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief;

/**
 * A student who is asked to speak.
 */
final readonly class CalledView
{
    public function __construct(public string $student, public string $name)
    {
    }
}
