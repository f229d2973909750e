<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Writing;

/**
 * A step of a slot's history: what somebody had made of it when they paused, or before somebody else went on.
 */
final readonly class StepView
{
    /**
     * @param int    $revision what it is brought back by; below 0: what did not fit any more
     * @param string $author   a student or one of the staff
     * @param int    $at       milliseconds since 1970
     */
    public function __construct(public int $revision, public string $text, public string $author, public int $at)
    {
    }
}
