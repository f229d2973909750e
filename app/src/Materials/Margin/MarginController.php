<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Margin;

use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Http\Body\Body;
use FreshHuddle\App\Materials\HandOut\Copy\CopyAccess;
use FreshHuddle\App\Roster\Staff\ForAssistants;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/**
 * Margin notes in the teacher's hands.
 */
#[Route('/api/staff', requirements: ['id' => Requirement::UUID])]
final readonly class MarginController
{
    public function __construct(private CopyAccess $access, private Margin $margin)
    {
    }

    /** Writes a margin note into a copy. */
    #[Route('/copies/{id}/notes', methods: ['POST'])]
    #[ForAssistants]
    public function write(#[CurrentUser] Teacher $teacher, string $id, #[Body] WriteNote $request): MarginNoteView
    {
        return $this->margin->write($this->access->copy($teacher, $id), $teacher, $request);
    }

    /** Deletes a margin note. */
    #[Route('/margin-notes/{id}', methods: ['DELETE'])]
    #[ForAssistants]
    public function wipe(#[CurrentUser] Teacher $teacher, string $id): void
    {
        $this->margin->wipe($this->access->note($teacher, $id));
    }
}
