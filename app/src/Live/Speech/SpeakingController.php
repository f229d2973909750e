<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Speech;

use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Http\Body\Body;
use FreshHuddle\App\Lesson\LessonAccess;
use FreshHuddle\App\Live\Student\StudentNow;
use FreshHuddle\App\Live\Student\StudentPage;
use FreshHuddle\App\Roster\Device\StudentUser;
use FreshHuddle\App\Roster\Staff\ForAssistants;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/**
 * Who may speak in the main session: the staff say, students ask.
 */
final readonly class SpeakingController
{
    public function __construct(
        private LessonAccess $lessons,
        private Speakers $speakers,
        private StudentPage $page,
    ) {
    }

    /** Mutes the main session, gives somebody the microphone, or lets everybody speak. */
    #[Route('/api/staff/lessons/{id}/speaking', requirements: ['id' => Requirement::UUID], methods: ['PUT'])]
    #[ForAssistants]
    public function set(#[CurrentUser] Teacher $teacher, string $id, #[Body] SaveSpeaking $request): SpeakingView
    {
        $lesson = $this->lessons->lesson($teacher, $id);
        $this->speakers->set($lesson, $request);

        return $this->speakers->view($lesson);
    }

    /** Asks to speak in the main session, or takes that back. */
    #[Route('/api/student/speaking', methods: ['PUT'])]
    public function ask(#[CurrentUser] StudentUser $student, #[Body] AskToSpeak $request): StudentNow
    {
        $this->speakers->ask($student, $request->asks);

        return $this->page->now($student);
    }
}
