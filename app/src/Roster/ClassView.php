<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster;

use FreshHuddle\App\Live\LessonSummary;

final readonly class ClassView
{
    /**
     * @param list<StudentView>   $students
     * @param list<LessonSummary> $lessons  newest first
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $code,
        public array $students,
        public array $lessons,
    ) {
    }
}
