<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Notice;

use FreshHuddle\App\Live\NoticeView;
use FreshHuddle\App\Stream\Message\StudentMessage;

/**
 * The teacher says something to everybody.
 */
final readonly class NoticeMessage implements StudentMessage
{
    public function __construct(public NoticeView $notice)
    {
    }

    public static function kind(): string
    {
        return 'notice';
    }
}
