<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live;

use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Live\Exception\LiveRefused;
use FreshHuddle\App\Roster\ClassAccess;
use FreshHuddle\App\Roster\Staff\ForAssistants;
use FreshHuddle\App\Worker\FailedTasks;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/**
 * What failed for good: try it again, or let it be.
 */
#[Route(
    '/api/staff/classes/{id}/failed/{task}',
    requirements: ['id' => Requirement::UUID, 'task' => Requirement::UUID],
),]
final readonly class FailedController
{
    public function __construct(private ClassAccess $classAccess, private FailedTasks $failed)
    {
    }

    /** Tries failed work again. */
    #[Route('/again', methods: ['POST'])]
    #[ForAssistants]
    public function tryAgain(#[CurrentUser] Teacher $teacher, string $id, string $task): void
    {
        if (!$this->failed->tryAgain($this->classAccess->schoolClass($teacher, $id)->id, $task)) {
            throw LiveRefused::missing();
        }
    }

    /** Dismisses failed work. */
    #[Route('', methods: ['DELETE'])]
    #[ForAssistants]
    public function letBe(#[CurrentUser] Teacher $teacher, string $id, string $task): void
    {
        if (!$this->failed->letBe($this->classAccess->schoolClass($teacher, $id)->id, $task)) {
            throw LiveRefused::missing();
        }
    }
}
