<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Own;

use FreshHuddle\Core\Rooms\MicrophoneOutcome;

/**
 * The body of a request: a student's device says whether it could send sound.
 */
final readonly class SaveTrial
{
    public function __construct(public MicrophoneOutcome $outcome)
    {
    }
}
