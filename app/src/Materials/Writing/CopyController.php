<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Writing;

use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Http\Body\Body;
use FreshHuddle\App\Materials\HandOut\Copy\CopyAccess;
use FreshHuddle\App\Roster\Staff\ForAssistants;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/**
 * A copy in the teacher's hands.
 */
#[Route(
    '/api/staff/copies/{id}',
    requirements: ['id' => Requirement::UUID, 'slot' => '[a-z0-9-]{1,40}', 'owner' => Requirement::UUID],
),]
final readonly class CopyController
{
    public function __construct(private CopyAccess $access, private History $history, private CopyWriter $writer)
    {
    }

    /**
     * Lists the earlier versions of an answer.
     *
     * @return list<StepView>
     */
    #[Route('/slots/{slot}/history/{owner}', methods: ['GET'])]
    public function history(#[CurrentUser] Teacher $teacher, string $id, string $slot, string $owner): array
    {
        return $this->history->forSlot($this->access->copy($teacher, $id), $slot, $owner);
    }

    /** Brings an earlier version of an answer back. */
    #[Route('/slots/{slot}/history/{owner}', methods: ['POST'])]
    #[ForAssistants]
    public function bringBack(
        #[CurrentUser]
        Teacher $teacher,
        string $id,
        string $slot,
        string $owner,
        #[Body]
        BringBack $request,
    ): AnswerView {
        return $this->writer->bringBackFor(
            $this->access->copy($teacher, $id),
            $slot,
            $owner,
            $teacher->id,
            $request->revision,
        );
    }
}
