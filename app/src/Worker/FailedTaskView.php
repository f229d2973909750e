<?php

declare(strict_types=1);

namespace FreshHuddle\App\Worker;

/**
 * Work that failed for good, as a page shows it.
 */
final readonly class FailedTaskView
{
    /**
     * @param string $kind    what was to be done: moveOut, say, roomMembers, …
     * @param string $failure why it could not be
     */
    public function __construct(public string $id, public string $kind, public string $failure)
    {
    }
}
