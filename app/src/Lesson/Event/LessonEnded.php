<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson\Event;

/**
 * A lesson is over.
 */
final readonly class LessonEnded
{
    public function __construct(public string $lesson)
    {
    }
}
