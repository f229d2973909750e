<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\HandOut;

use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Http\Body\Body;
use FreshHuddle\App\Lesson\LessonAccess;
use FreshHuddle\App\Materials\Writing\CopyView;
use FreshHuddle\App\Materials\Writing\WorkReader;
use FreshHuddle\App\Roster\ForAssistants;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

#[Route('/api/staff', requirements: ['id' => Requirement::UUID])]
final readonly class HandOutController
{
    public function __construct(private HandingOut $handingOut, private Updating $updating, private HandOutPlan $plan, private WorkReader $work, private LessonAccess $lessonAccess)
    {
    }

    #[Route('/rounds/{id}/hand-out', methods: ['PUT'])]
    public function plan(#[CurrentUser] Teacher $teacher, string $id, #[Body(200_000)] SavePlan $request): Response
    {
        $this->plan->save($teacher, $this->lessonAccess->round($teacher, $id), $request);

        return new Response(null, 204);
    }

    /** An original is what everybody works on alone in this segment, from its beginning. */
    #[Route('/segments/{id}/work', methods: ['POST'])]
    public function giveAlone(#[CurrentUser] Teacher $teacher, string $id, #[Body] GiveAlone $request): Response
    {
        $segment = $this->lessonAccess->segment($teacher, $id);
        $this->plan->giveAlone($teacher, $segment, $request->original);
        if ($segment->lesson->segment === $segment) {
            $this->handingOut->makeAlone($segment);
        }

        return new Response(null, 204);
    }

    #[Route('/rounds/{id}/copies', methods: ['POST'])]
    #[ForAssistants]
    public function makeCopies(#[CurrentUser] Teacher $teacher, string $id): CopiesMade
    {
        return $this->handingOut->makeCopies($this->lessonAccess->round($teacher, $id));
    }

    /** Copies that begin with what was written in the lesson this one was begun from. */
    #[Route('/rounds/{id}/copies/go-on', methods: ['POST'])]
    #[ForAssistants]
    public function goOn(#[CurrentUser] Teacher $teacher, string $id): CopiesMade
    {
        return $this->handingOut->makeCopies($this->lessonAccess->round($teacher, $id), true);
    }

    /**
     * @return list<ChangeView>
     */
    #[Route('/rounds/{id}/copies/changes', methods: ['GET'])]
    public function changes(#[CurrentUser] Teacher $teacher, string $id): array
    {
        return $this->updating->changes($this->lessonAccess->round($teacher, $id));
    }

    #[Route('/rounds/{id}/copies/changes', methods: ['POST'])]
    #[ForAssistants]
    public function bring(#[CurrentUser] Teacher $teacher, string $id): CopiesMade
    {
        return new CopiesMade(0, $this->updating->bring($this->lessonAccess->round($teacher, $id)), []);
    }

    /**
     * @return list<CopyView>
     */
    #[Route('/rounds/{id}/copies', methods: ['GET'])]
    public function copies(#[CurrentUser] Teacher $teacher, string $id): array
    {
        return $this->work->copies($this->lessonAccess->round($teacher, $id)->id);
    }
}
