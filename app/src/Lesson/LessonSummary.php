<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson;

final readonly class LessonSummary
{
    /**
     * @param bool $current students of the class are taken to this lesson
     */
    public function __construct(public string $id, public string $classId, public string $title, public int $minutes, public bool $current)
    {
    }
}
