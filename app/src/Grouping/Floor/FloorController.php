<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Floor;

use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Grouping\GroupingAccess;
use FreshHuddle\App\Http\Body\Body;
use FreshHuddle\App\Roster\Staff\ForAssistants;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/**
 * Changes groups by hand.
 */
#[Route('/api/staff/groupings/{id}', requirements: ['id' => Requirement::UUID])]
final readonly class FloorController
{
    public function __construct(
        private FloorChanges $changes,
        private GroupingAccess $groupingAccess,
    ) {
    }

    /** Makes one change to the groups, such as moving a student. */
    #[Route('/edits', methods: ['POST'])]
    #[ForAssistants]
    public function edit(#[CurrentUser] Teacher $teacher, string $id, #[Body] EditFloor $request): FloorView
    {
        return $this->changes->edit($this->groupingAccess->grouping($teacher, $id), $request);
    }

    /** Undoes the last change to the groups. */
    #[Route('/undo', methods: ['POST'])]
    #[ForAssistants]
    public function undo(#[CurrentUser] Teacher $teacher, string $id, #[Body] BasedOn $request): FloorView
    {
        return $this->changes->step($this->groupingAccess->grouping($teacher, $id), $request->basedOn, -1);
    }

    /** Redoes the change that was undone last. */
    #[Route('/redo', methods: ['POST'])]
    #[ForAssistants]
    public function redo(#[CurrentUser] Teacher $teacher, string $id, #[Body] BasedOn $request): FloorView
    {
        return $this->changes->step($this->groupingAccess->grouping($teacher, $id), $request->basedOn, 1);
    }
}
