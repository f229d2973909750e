<?php

declare(strict_types=1);

namespace FreshHuddle\App\Stream\Message;

/**
 * Something changed for this student: ask again.
 */
final readonly class RefreshHint implements StudentMessage
{
    public static function kind(): string
    {
        return 'refresh';
    }
}
