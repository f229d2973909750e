<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Writing;

/**
 * The body of a request: put an earlier version back.
 */
final readonly class BringBack
{
    /**
     * @param int $revision of the step that is to stand there again
     */
    public function __construct(public int $revision)
    {
    }
}
