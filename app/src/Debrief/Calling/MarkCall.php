<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\Calling;

/**
 * The body of a request: what came of calling on a student.
 */
final readonly class MarkCall
{
    public function __construct(public CallState $state)
    {
    }
}
