<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\Sending;

use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Http\Body\Body;
use FreshHuddle\App\Lesson\LessonAccess;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/**
 * Posts and emails of a lesson: what is to be sent, and what became of it.
 */
#[Route('/api/staff/rounds/{id}/sending', requirements: ['id' => Requirement::UUID])]
final readonly class SendingController
{
    public function __construct(private DeliveryPlan $deliveries, private LessonAccess $access)
    {
    }

    /** Says which posts and emails a round has, and what came of them. */
    #[Route('', methods: ['GET'])]
    public function show(#[CurrentUser] Teacher $teacher, string $id): SendingView
    {
        return $this->deliveries->view($this->access->round($teacher, $id));
    }

    /** Chooses the posts and emails of a round. */
    #[Route('', methods: ['PUT'])]
    public function save(#[CurrentUser] Teacher $teacher, string $id, #[Body(2_000)] SaveSending $request): SendingView
    {
        $round = $this->access->round($teacher, $id);
        $this->deliveries->save($round, $request);

        return $this->deliveries->view($round);
    }
}
