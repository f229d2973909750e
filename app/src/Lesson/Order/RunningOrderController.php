<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson\Order;

use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Http\Body\Body;
use FreshHuddle\App\Lesson\LessonAccess;
use FreshHuddle\App\Lesson\Lessons;
use FreshHuddle\App\Lesson\Round\FillRounds;
use FreshHuddle\App\Lesson\Round\RoundFiller;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/**
 * The parts of a lesson: their order, their length, and what is set for each.
 */
#[Route('/api/staff', requirements: ['id' => Requirement::UUID])]
final readonly class RunningOrderController
{
    public function __construct(
        private RunningOrders $orders,
        private RoundFiller $filler,
        private Lessons $lessons,
        private LessonAccess $lessonAccess,
    ) {
    }

    /** Replaces the running order of a lesson. */
    #[Route('/lessons/{id}/running-order', methods: ['PUT'])]
    public function change(
        #[CurrentUser]
        Teacher $teacher,
        string $id,
        #[Body]
        ChangeOrder $request,
    ): RunningOrderView {
        $lesson = $this->lessonAccess->lesson($teacher, $id);
        $this->orders->change($lesson, $request);

        return $this->orders->view($lesson);
    }

    /** Plans several rounds at once: a rotation, jigsaw, split or snowball. Rounds that are there are used first. */
    #[Route('/lessons/{id}/rounds', methods: ['POST'])]
    public function fill(#[CurrentUser] Teacher $teacher, string $id, #[Body] FillRounds $request): RunningOrderView
    {
        $lesson = $this->lessonAccess->lesson($teacher, $id);
        $this->filler->fill($lesson, $request);

        return $this->orders->view($lesson);
    }

    /** Deletes a lesson. */
    #[Route('/lessons/{id}', methods: ['DELETE'])]
    public function remove(#[CurrentUser] Teacher $teacher, string $id): void
    {
        $this->lessons->remove($this->lessonAccess->lesson($teacher, $id));
    }

    /** Brings a deleted lesson back. */
    #[Route('/lessons/{id}/restore', methods: ['POST'])]
    public function restore(#[CurrentUser] Teacher $teacher, string $id): void
    {
        $this->lessons->restore($this->lessonAccess->removed($teacher, $id));
    }

    /** Closes what everybody does alone in a segment, now or at a time, or leaves it open. */
    #[Route('/segments/{id}/closing', methods: ['PUT'])]
    public function close(#[CurrentUser] Teacher $teacher, string $id, #[Body] CloseSegment $request): RunningOrderView
    {
        $segment = $this->lessonAccess->segment($teacher, $id);
        $this->orders->close($segment, $request->closesAt);

        return $this->orders->view($segment->lesson);
    }

    /** Changes a segment of the running order. */
    #[Route('/segments/{id}', methods: ['PATCH'])]
    public function edit(#[CurrentUser] Teacher $teacher, string $id, #[Body] EditSegment $request): RunningOrderView
    {
        $segment = $this->lessonAccess->segment($teacher, $id);
        $this->orders->edit($segment, $request);

        return $this->orders->view($segment->lesson);
    }
}
