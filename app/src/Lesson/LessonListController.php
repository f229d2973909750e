<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson;

use FreshHuddle\App\Account\Teacher;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/**
 * A teacher's lessons, a class's lessons, and creating one.
 */
final readonly class LessonListController
{
    public function __construct(private LessonList $lessons)
    {
    }

    /**
     * Lists the teacher's lessons and templates.
     *
     * @return list<LessonSummary> of all classes, newest first
     */
    #[Route('/api/staff/lessons', methods: ['GET'])]
    public function __invoke(#[CurrentUser] Teacher $teacher): array
    {
        return $this->lessons->forTeacher($teacher);
    }
}
