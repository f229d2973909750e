<?php

declare(strict_types=1);

namespace FreshHuddle\App\Stream\Message;

/**
 * Something changed for this student: ask again.
 */
final readonly class RefreshHint implements StudentMessage
{
    /**
     * @param bool $now at once: nobody else is told the same; otherwise a little apart from the others
     */
    public function __construct(public bool $now = false)
    {
    }

    public static function kind(): string
    {
        return 'refresh';
    }
}
