<?php

declare(strict_types=1);

namespace FreshHuddle\App\Stream\Message;

/**
 * Something of a grouping changed: ask for it again.
 */
final readonly class DeskHint implements StaffMessage
{
    public static function kind(): string
    {
        return 'desk';
    }
}
