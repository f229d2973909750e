<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Recording;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Http\Body\Body;
use FreshHuddle\App\Http\File\Download;
use FreshHuddle\App\Lesson\LessonAccess;
use FreshHuddle\App\Live\Exception\LiveRefused;
use FreshHuddle\App\Materials\Media\Store\FileAway;
use FreshHuddle\App\Materials\Media\Store\FileStore;
use FreshHuddle\App\Roster\Staff\ForAssistants;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/**
 * Recordings of rooms, for the staff of a class alone; its teachers throw them away.
 */
final readonly class RecordingController
{
    public function __construct(
        private EntityManagerInterface $em,
        private LessonAccess $lessons,
        private Recordings $recordings,
        private FileStore $store,
    ) {
    }

    /** Begins or ends the recording of a room; whoever is in it is told. */
    #[Route(
        '/api/staff/lessons/{id}/rooms/{place}/recording',
        requirements: ['id' => Requirement::UUID, 'place' => 'main|'.Requirement::UUID],
        methods: ['PUT'],
    ),]
    #[ForAssistants]
    public function set(
        #[CurrentUser]
        Teacher $teacher,
        string $id,
        string $place,
        #[Body]
        SaveRecording $request,
    ): RecordingsView {
        $lesson = $this->lessons->lesson($teacher, $id);
        $request->on ? $this->recordings->begin($lesson, $place) : $this->recordings->end($lesson, $place);

        return $this->recordings->view($lesson, $teacher);
    }

    /** The recordings of a lesson, the newest first. */
    #[Route('/api/staff/lessons/{id}/recordings', requirements: ['id' => Requirement::UUID], methods: ['GET'])]
    public function all(#[CurrentUser] Teacher $teacher, string $id): RecordingsView
    {
        return $this->recordings->view($this->lessons->lesson($teacher, $id), $teacher);
    }

    /** What was said, as an Ogg Opus file. */
    #[Route('/api/staff/recordings/{id}/sound', requirements: ['id' => Requirement::UUID], methods: ['GET'])]
    public function sound(#[CurrentUser] Teacher $teacher, string $id): Download
    {
        $recording = $this->recording($teacher, $id);
        if (null === $recording->file) {
            throw LiveRefused::missing('live.no_recording');
        }
        try {
            return new Download($this->store->get($recording->file), 'recording.opus', 'audio/ogg');
        } catch (FileAway) {
            throw LiveRefused::missing('live.no_recording');
        }
    }

    /** Throws a recording away, for good. */
    #[Route('/api/staff/recordings/{id}', requirements: ['id' => Requirement::UUID], methods: ['DELETE'])]
    public function delete(#[CurrentUser] Teacher $teacher, string $id): void
    {
        $recording = $this->recording($teacher, $id);
        if (RecordingState::Running === $recording->state) {
            throw LiveRefused::outdated('live.still_recording');
        }
        $this->recordings->remove($recording);
    }

    /**
     * @throws LiveRefused where there is none for this teacher
     */
    private function recording(Teacher $teacher, string $id): Recording
    {
        $recording = $this->em->find(Recording::class, $id) ?? throw LiveRefused::missing('live.no_recording');
        $this->lessons->lesson($teacher, $recording->lesson->id);

        return $recording;
    }
}
