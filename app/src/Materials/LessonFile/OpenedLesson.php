<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\LessonFile;

/**
 * A lesson that was made from a file.
 */
final readonly class OpenedLesson
{
    public function __construct(public string $id)
    {
    }
}
