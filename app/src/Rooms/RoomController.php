<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms;

use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Lesson\LessonAccess;
use FreshHuddle\App\Roster\ForAssistants;
use Symfony\Component\HttpFoundation\RedirectResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

#[Route('/api/staff', requirements: ['id' => Requirement::UUID])]
final readonly class RoomController
{
    public function __construct(private Rooms $rooms, private RoomReader $reader, private LessonAccess $lessonAccess, private RoomAccess $roomAccess, private FloorStore $floors)
    {
    }

    /**
     * @return list<RoomView>
     */
    #[Route('/rounds/{id}/rooms', methods: ['POST'])]
    #[ForAssistants]
    public function make(#[CurrentUser] Teacher $teacher, string $id): array
    {
        $round = $this->lessonAccess->round($teacher, $id);
        $this->rooms->make($round);

        return $this->reader->ofRound($round->grouping->id, $round->lesson->class->id, $this->floors->now($round->grouping->id));
    }

    /** Into the room, for whoever teaches or assists. */
    #[Route('/rooms/{id}/way', methods: ['GET'])]
    public function way(#[CurrentUser] Teacher $teacher, string $id): Response
    {
        $link = $this->rooms->way($this->roomAccess->room($teacher, $id), $teacher);

        return new RedirectResponse($link, headers: ['Cache-Control' => 'no-store', 'Referrer-Policy' => 'no-referrer']);
    }

    #[Route('/rooms/{id}/retry', methods: ['POST'])]
    #[ForAssistants]
    public function retry(#[CurrentUser] Teacher $teacher, string $id): void
    {
        $this->rooms->retry($this->roomAccess->room($teacher, $id));
    }
}
