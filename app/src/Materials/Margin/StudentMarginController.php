<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Margin;

use FreshHuddle\App\Http\Body\Body;
use FreshHuddle\App\Roster\Device\StudentUser;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/**
 * Notes in the margin, as students read and answer them.
 */
#[Route(
    '/api/student/copies/{id}/notes/{note}',
    requirements: ['id' => Requirement::UUID, 'note' => Requirement::UUID],
),]
final readonly class StudentMarginController
{
    public function __construct(private Margin $margin)
    {
    }

    /** Answers a margin note for the group, or changes the answer. */
    #[Route('', methods: ['PUT'])]
    public function answer(
        #[CurrentUser]
        StudentUser $student,
        string $id,
        string $note,
        #[Body]
        AnswerNote $request,
    ): MarginNoteView {
        return $this->margin->answer($id, $note, $student->id, $request->answer);
    }

    /** Says that a student has seen a margin note. */
    #[Route('/seen', methods: ['POST'])]
    public function seen(#[CurrentUser] StudentUser $student, string $id, string $note): void
    {
        $this->margin->seen($id, $note, $student->id);
    }
}
