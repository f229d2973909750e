<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials;

use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Http\Body\Body;
use FreshHuddle\App\Lesson\LessonAccess;
use FreshHuddle\App\Roster\ForAssistants;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

#[Route('/api/staff/rounds/{id}', requirements: ['id' => Requirement::UUID])]
final readonly class MaterialController
{
    public function __construct(private Materials $materials, private MaterialReader $reader, private LessonAccess $lessonAccess)
    {
    }

    #[Route('/original', methods: ['PUT'])]
    public function saveOriginal(#[CurrentUser] Teacher $teacher, string $id, #[Body(1_000_000)] SaveOriginal $request): OriginalView
    {
        return $this->materials->saveOriginal($this->lessonAccess->round($teacher, $id), $request);
    }

    #[Route('/copies', methods: ['POST'])]
    #[ForAssistants]
    public function makeCopies(#[CurrentUser] Teacher $teacher, string $id): CopiesMade
    {
        return $this->materials->makeCopies($this->lessonAccess->round($teacher, $id));
    }

    /**
     * @return list<CopyView>
     */
    #[Route('/copies', methods: ['GET'])]
    public function copies(#[CurrentUser] Teacher $teacher, string $id): array
    {
        return $this->reader->copies($this->lessonAccess->round($teacher, $id)->id);
    }
}
