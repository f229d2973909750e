<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson;

/**
 * A lesson, as it stands in lists.
 */
final readonly class LessonSummary
{
    /**
     * @param int|null $startsAt milliseconds since 1970; null for a template
     * @param bool     $current  students of the class are taken to this lesson
     * @param bool     $begun    it is in one of its segments, or has been
     * @param int|null $endedAt  when it was over; milliseconds since 1970
     */
    public function __construct(
        public string $id,
        public string $classId,
        public string $title,
        public int $minutes,
        public ?int $startsAt,
        public bool $template,
        public bool $current,
        public bool $begun,
        public ?int $endedAt,
    ) {
    }
}
