<?php

declare(strict_types=1);

namespace FreshHuddle\App\DryRun\Rehearsal;

use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Lesson\LessonAccess;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/**
 * A lesson tried out beforehand, in a moment.
 */
final readonly class RehearsalController
{
    public function __construct(private LessonAccess $access, private Rehearser $rehearser)
    {
    }

    /** Rehearses the rounds to come with simulated students; changes nothing. */
    #[Route('/api/staff/lessons/{id}/rehearsal', requirements: ['id' => Requirement::UUID], methods: ['GET'])]
    public function rehearse(#[CurrentUser] Teacher $teacher, string $id): RehearsalView
    {
        return $this->rehearser->rehearse($this->access->lesson($teacher, $id));
    }
}
