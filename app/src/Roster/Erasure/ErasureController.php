<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Erasure;

use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Http\Body\Body;
use FreshHuddle\App\Roster\ClassAccess;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/**
 * Forgetting: a student who asks for it, and a class when its time is over.
 */
#[Route('/api/staff', requirements: ['id' => Requirement::UUID])]
final readonly class ErasureController
{
    public function __construct(
        private ClassAccess $access,
        private Erasure $erasure,
        private ClassEnds $ends,
        private PrivacyReader $reader,
    ) {
    }

    /** Erases a student for good; in papers of others they become a former member. */
    #[Route('/students/{id}/erase', methods: ['POST'])]
    public function erase(#[CurrentUser] Teacher $teacher, string $id, #[Body] EraseStudent $request): void
    {
        $student = $this->access->student($teacher, $id);
        $this->access->own($teacher, $student->class->id);
        $this->erasure->eraseStudent($student, $request->name);
    }

    /** Shows until when a class's data is kept, and who has left it. */
    #[Route('/classes/{id}/privacy', methods: ['GET'])]
    public function show(#[CurrentUser] Teacher $teacher, string $id): PrivacyView
    {
        return $this->reader->view($this->access->schoolClass($teacher, $id));
    }

    /** Sets until when a class's data is kept. */
    #[Route('/classes/{id}/privacy', methods: ['PUT'])]
    public function keep(#[CurrentUser] Teacher $teacher, string $id, #[Body] KeepUntil $request): PrivacyView
    {
        $class = $this->access->own($teacher, $id);
        $this->ends->set($class, $request->endsOn);

        return $this->reader->view($class);
    }
}
