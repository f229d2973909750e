<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\HandOut;

use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Http\Body\Body;
use FreshHuddle\App\Lesson\LessonAccess;
use FreshHuddle\App\Materials\HandOut\Copy\ChangeView;
use FreshHuddle\App\Materials\HandOut\Copy\CopiesMade;
use FreshHuddle\App\Materials\HandOut\Copy\CopyUpdater;
use FreshHuddle\App\Materials\HandOut\Plan\HandOutPlan;
use FreshHuddle\App\Materials\HandOut\Plan\SavePlan;
use FreshHuddle\App\Materials\Writing\CopyView;
use FreshHuddle\App\Materials\Writing\WorkReader;
use FreshHuddle\App\Roster\Staff\ForAssistants;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/**
 * Who gets which worksheet in which variant, and the copies that are made of it.
 */
#[Route('/api/staff', requirements: ['id' => Requirement::UUID])]
final readonly class HandOutController
{
    public function __construct(
        private HandOutService $handOuts,
        private CopyUpdater $updater,
        private HandOutPlan $plan,
        private WorkReader $work,
        private LessonAccess $lessonAccess,
    ) {
    }

    /** Says which group or student gets which worksheet. */
    #[Route('/rounds/{id}/hand-out', methods: ['PUT'])]
    public function plan(#[CurrentUser] Teacher $teacher, string $id, #[Body(200_000)] SavePlan $request): Response
    {
        $this->plan->save($teacher, $this->lessonAccess->round($teacher, $id), $request);

        return new Response(null, 204);
    }

    /** Gives everyone a worksheet to do alone in a segment. */
    #[Route('/segments/{id}/work', methods: ['POST'])]
    public function giveAlone(#[CurrentUser] Teacher $teacher, string $id, #[Body] GiveAlone $request): Response
    {
        $segment = $this->lessonAccess->segment($teacher, $id);
        $this->plan->giveAlone($teacher, $segment, $request->original);
        if ($segment->lesson->segment === $segment) {
            $this->handOuts->makeAlone($segment);
        }

        return new Response(null, 204);
    }

    /** Makes the copies of a round. */
    #[Route('/rounds/{id}/copies', methods: ['POST'])]
    #[ForAssistants]
    public function makeCopies(#[CurrentUser] Teacher $teacher, string $id): CopiesMade
    {
        return $this->handOuts->makeCopies($this->lessonAccess->round($teacher, $id));
    }

    /**
     * Says what has changed in the worksheets since the copies were made.
     *
     * @return list<ChangeView>
     */
    #[Route('/rounds/{id}/copies/changes', methods: ['GET'])]
    public function changes(#[CurrentUser] Teacher $teacher, string $id): array
    {
        return $this->updater->changes($this->lessonAccess->round($teacher, $id));
    }

    /** Brings changes of the worksheets into the copies. */
    #[Route('/rounds/{id}/copies/changes', methods: ['POST'])]
    #[ForAssistants]
    public function bring(#[CurrentUser] Teacher $teacher, string $id): CopiesMade
    {
        return new CopiesMade(0, $this->updater->update($this->lessonAccess->round($teacher, $id)), []);
    }

    /**
     * Shows the copies of a round with everything written in them.
     *
     * @return list<CopyView>
     */
    #[Route('/rounds/{id}/copies', methods: ['GET'])]
    public function copies(#[CurrentUser] Teacher $teacher, string $id): array
    {
        return $this->work->copies($this->lessonAccess->round($teacher, $id)->id);
    }
}
