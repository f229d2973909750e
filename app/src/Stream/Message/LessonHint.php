<?php

declare(strict_types=1);

namespace FreshHuddle\App\Stream\Message;

/**
 * Something of a lesson changed: ask for it again.
 */
final readonly class LessonHint implements StaffMessage
{
    /**
     * @param int|null $seq of the last event this tells of; null: something that has no number
     */
    public function __construct(public ?int $seq = null)
    {
    }

    public static function kind(): string
    {
        return 'lesson';
    }
}
