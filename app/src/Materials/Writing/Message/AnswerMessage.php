<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Writing\Message;

use FreshHuddle\App\Materials\Writing\AnswerView;
use FreshHuddle\App\Stream\Message\StaffMessage;
use FreshHuddle\App\Stream\Message\StudentMessage;

/**
 * What stands in a slot now.
 */
final readonly class AnswerMessage implements StaffMessage, StudentMessage
{
    public function __construct(public string $copy, public AnswerView $answer)
    {
    }

    public static function kind(): string
    {
        return 'answer';
    }
}
