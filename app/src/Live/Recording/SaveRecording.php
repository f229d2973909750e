<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Recording;

/**
 * The body of a request: a room is recorded from now on, or no longer.
 */
final readonly class SaveRecording
{
    public function __construct(public bool $on)
    {
    }
}
