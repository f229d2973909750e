<?php

declare(strict_types=1);

namespace FreshHuddle\App\Stream\Message;

/**
 * The right to listen has ended.
 */
final readonly class EndMessage implements ClassPageMessage, StaffMessage, StudentMessage
{
    public static function kind(): string
    {
        return 'end';
    }
}
