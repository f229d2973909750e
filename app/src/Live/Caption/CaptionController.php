<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Caption;

use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Http\Body\Body;
use FreshHuddle\App\Lesson\LessonAccess;
use FreshHuddle\App\Live\Admission\ExpectedPlaces;
use FreshHuddle\App\Roster\Device\StudentUser;
use FreshHuddle\App\Roster\Staff\ForAssistants;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/**
 * What is said in a room, in words: the staff type it, whoever is in the room reads it.
 */
final readonly class CaptionController
{
    private const ADDRESS = '/api/staff/lessons/{id}/rooms/{place}/captions';
    private const IDS = ['id' => Requirement::UUID, 'place' => 'main|'.Requirement::UUID];

    public function __construct(
        private LessonAccess $lessons,
        private Captions $captions,
        private ExpectedPlaces $places,
    ) {
    }

    /**
     * Types what is said in a room, for those who are in it.
     *
     * @return list<CaptionView>
     */
    #[Route(self::ADDRESS, requirements: self::IDS, methods: ['POST'])]
    #[ForAssistants]
    public function say(#[CurrentUser] Teacher $teacher, string $id, string $place, #[Body] SayCaption $request): array
    {
        $lesson = $this->lessons->lesson($teacher, $id);
        $this->captions->say($lesson, $place, $request->text);

        return $this->captions->at($lesson->id, $place);
    }

    /**
     * What was typed in a room last.
     *
     * @return list<CaptionView>
     */
    #[Route(self::ADDRESS, requirements: self::IDS, methods: ['GET'])]
    #[ForAssistants]
    public function at(#[CurrentUser] Teacher $teacher, string $id, string $place): array
    {
        return $this->captions->at($this->lessons->lesson($teacher, $id)->id, $place);
    }

    /**
     * What was typed last in the room where a student belongs now.
     *
     * @return list<CaptionView>
     */
    #[Route('/api/student/captions', methods: ['GET'])]
    public function mine(#[CurrentUser] StudentUser $student): array
    {
        $place = $this->places->ofClass($student->classId)[$student->id] ?? null;

        return null === $place || null === $student->lessonId ? [] : $this->captions->at($student->lessonId, $place);
    }
}
