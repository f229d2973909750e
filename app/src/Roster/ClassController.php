<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster;

use FreshHuddle\App\Account\Access;
use FreshHuddle\App\Account\Teacher;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

#[Route('/api/staff', requirements: ['id' => Requirement::UUID])]
final readonly class ClassController
{
    public function __construct(private Roster $roster, private ClassViews $views, private Access $access)
    {
    }

    /**
     * @return list<ClassSummary>
     */
    #[Route('/classes', methods: ['GET'])]
    public function list(#[CurrentUser] Teacher $teacher): array
    {
        return $this->views->all($teacher);
    }

    #[Route('/classes', methods: ['POST'])]
    public function make(#[CurrentUser] Teacher $teacher, #[MapRequestPayload] MakeClass $request): ClassView
    {
        return $this->views->one($this->roster->create($teacher, $request->name, $request->names));
    }

    /** What a pasted list would give, for a class that is not there yet. */
    #[Route('/classes/preview', methods: ['POST'])]
    public function previewNew(#[MapRequestPayload] PasteNames $request): PastedListView
    {
        return PastedListView::of($this->roster->preview(null, $request->names));
    }

    #[Route('/classes/{id}', methods: ['GET'])]
    public function show(#[CurrentUser] Teacher $teacher, string $id): ClassView
    {
        return $this->views->one($this->access->schoolClass($teacher, $id));
    }

    #[Route('/classes/{id}', methods: ['PATCH'])]
    public function rename(#[CurrentUser] Teacher $teacher, string $id, #[MapRequestPayload] RenameClass $request): ClassView
    {
        $class = $this->access->schoolClass($teacher, $id);
        $this->roster->rename($class, $request->name);

        return $this->views->one($class);
    }

    #[Route('/classes/{id}/preview', methods: ['POST'])]
    public function preview(#[CurrentUser] Teacher $teacher, string $id, #[MapRequestPayload] PasteNames $request): PastedListView
    {
        return PastedListView::of($this->roster->preview($this->access->schoolClass($teacher, $id), $request->names));
    }

    #[Route('/classes/{id}/students', methods: ['POST'])]
    public function add(#[CurrentUser] Teacher $teacher, string $id, #[MapRequestPayload] PasteNames $request): PastedListView
    {
        return PastedListView::of($this->roster->add($this->access->schoolClass($teacher, $id), $request->names));
    }

    #[Route('/students/{id}', methods: ['PATCH'])]
    public function edit(#[CurrentUser] Teacher $teacher, string $id, #[MapRequestPayload] EditStudent $request): void
    {
        $this->roster->editStudent($this->access->student($teacher, $id), $request->name, $request->absent);
    }

    #[Route('/students/{id}', methods: ['DELETE'])]
    public function remove(#[CurrentUser] Teacher $teacher, string $id): void
    {
        $this->roster->remove($this->access->student($teacher, $id));
    }

    #[Route('/students/{id}/restore', methods: ['POST'])]
    public function restore(#[CurrentUser] Teacher $teacher, string $id): void
    {
        $this->roster->restore($this->access->student($teacher, $id));
    }

    /** The name may be chosen anew, on another device. */
    #[Route('/students/{id}/free', methods: ['POST'])]
    public function free(#[CurrentUser] Teacher $teacher, string $id): void
    {
        $this->roster->free($this->access->student($teacher, $id));
    }
}
