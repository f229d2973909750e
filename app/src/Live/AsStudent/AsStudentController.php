<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\AsStudent;

use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Lesson\LessonAccess;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\EnumRequirement;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/**
 * What a student would see now, for the teacher to look at.
 */
final readonly class AsStudentController
{
    public function __construct(private LessonAccess $access, private AsStudent $asStudent)
    {
    }

    /** Shows a student's page as it will be at a moment of a segment. */
    #[Route(
        '/api/staff/segments/{id}/as/{student}/{moment}',
        methods: ['GET'],
        requirements: [
            'id' => Requirement::UUID,
            'student' => Requirement::UUID,
            'moment' => new EnumRequirement(Moment::class),
        ],
    ),]
    public function show(#[CurrentUser] Teacher $teacher, string $id, string $student, string $moment): AsStudentView
    {
        return $this->asStudent->view($this->access->segment($teacher, $id), $student, Moment::from($moment));
    }
}
