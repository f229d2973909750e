<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping;

use FreshHuddle\App\Account\Access;
use FreshHuddle\App\Account\Teacher;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

#[Route('/api/staff/groupings/{id}', requirements: ['id' => Requirement::UUID])]
final readonly class GroupingController
{
    public function __construct(private GroupingDesk $desk, private Access $access)
    {
    }

    #[Route('/deal', methods: ['POST'])]
    public function deal(#[CurrentUser] Teacher $teacher, string $id, #[MapRequestPayload] DealRequest $request): FloorView
    {
        return $this->desk->deal($this->access->grouping($teacher, $id), $request);
    }

    #[Route('/edits', methods: ['POST'])]
    public function edit(#[CurrentUser] Teacher $teacher, string $id, #[MapRequestPayload] EditFloor $request): FloorView
    {
        return $this->desk->edit($this->access->grouping($teacher, $id), $request);
    }

    #[Route('/undo', methods: ['POST'])]
    public function undo(#[CurrentUser] Teacher $teacher, string $id, #[MapRequestPayload] BasedOn $request): FloorView
    {
        return $this->desk->step($this->access->grouping($teacher, $id), $request->basedOn, -1);
    }

    #[Route('/redo', methods: ['POST'])]
    public function redo(#[CurrentUser] Teacher $teacher, string $id, #[MapRequestPayload] BasedOn $request): FloorView
    {
        return $this->desk->step($this->access->grouping($teacher, $id), $request->basedOn, 1);
    }
}
