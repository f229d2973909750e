<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Admission;

use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Lesson\LessonAccess;
use FreshHuddle\App\Live\Recording\Recordings;
use FreshHuddle\App\Rooms\Own\Participant;
use FreshHuddle\App\Rooms\Own\RoomAdmission;
use FreshHuddle\App\Rooms\Own\RoomTicket;
use FreshHuddle\App\Roster\Staff\ForAssistants;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/**
 * Lets a teacher or an assistant into rooms of our own: each of their class's, one at a time.
 */
final readonly class StaffAdmission
{
    public function __construct(
        private LessonAccess $lessons,
        private RoomAdmission $admission,
        private Recordings $recordings,
    ) {
    }

    /** Lets a teacher or an assistant into a room of our own. */
    #[Route(
        '/api/staff/lessons/{id}/rooms/{place}/enter',
        requirements: ['id' => Requirement::UUID, 'place' => 'main|'.RoomAdmission::VOICE.'|'.Requirement::UUID],
        methods: ['POST'],
    )]
    #[ForAssistants]
    public function __invoke(#[CurrentUser] Teacher $teacher, string $id, string $place): RoomTicket
    {
        $lesson = $this->lessons->lesson($teacher, $id);

        $ticket = $this->admission->admitTo(
            $lesson->class,
            $place,
            Participant::staff($teacher->id, $teacher->name),
        );

        return $ticket->withRecording($this->recordings->isRunning($ticket->room));
    }
}
