<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\Gallery;

use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Debrief\DebriefView;
use FreshHuddle\App\Debrief\DebriefViewBuilder;
use FreshHuddle\App\Debrief\HoldUp\ShownMedia;
use FreshHuddle\App\Http\Body\Body;
use FreshHuddle\App\Http\File\Bytes;
use FreshHuddle\App\Http\OpenApi\FileTypes;
use FreshHuddle\App\Lesson\LessonAccess;
use FreshHuddle\App\Roster\Device\StudentUser;
use FreshHuddle\App\Roster\Staff\ForAssistants;
use FreshHuddle\Core\Lesson\Actor;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/**
 * All work of a round, open to the whole class to be read.
 */
#[Route(
    '/api',
    requirements: ['id' => Requirement::UUID, 'remark' => Requirement::UUID, 'media' => Requirement::UUID],
),]
final readonly class GalleryController
{
    public function __construct(
        private LessonAccess $lessons,
        private Galleries $galleries,
        private GalleryReader $reader,
        private DebriefViewBuilder $views,
        private ShownMedia $media,
    ) {
    }

    /** Opens the gallery to the whole class, or changes the one that is open. */
    #[Route('/staff/lessons/{id}/debrief/gallery', methods: ['PUT'])]
    #[ForAssistants]
    public function open(#[CurrentUser] Teacher $teacher, string $id, #[Body] OpenGallery $request): DebriefView
    {
        $lesson = $this->lessons->lesson($teacher, $id);
        $this->galleries->open($lesson, $request, Actor::teacher($teacher->id));

        return $this->views->view($lesson);
    }

    /** Closes the gallery. */
    #[Route('/staff/lessons/{id}/debrief/gallery', methods: ['DELETE'])]
    #[ForAssistants]
    public function close(#[CurrentUser] Teacher $teacher, string $id): DebriefView
    {
        $lesson = $this->lessons->lesson($teacher, $id);
        $this->galleries->close($lesson, Actor::teacher($teacher->id));

        return $this->views->view($lesson);
    }

    /** Removes a remark. */
    #[Route('/staff/lessons/{id}/debrief/gallery/remarks/{remark}', methods: ['DELETE'])]
    #[ForAssistants]
    public function removeRemark(#[CurrentUser] Teacher $teacher, string $id, string $remark): DebriefView
    {
        $lesson = $this->lessons->lesson($teacher, $id);
        $this->galleries->removeRemark($lesson, $remark);

        return $this->views->view($lesson);
    }

    /** Shows what hangs in the gallery. */
    #[Route('/student/gallery', methods: ['GET'])]
    public function show(#[CurrentUser] StudentUser $student): GalleryView
    {
        return $this->reader->view($student);
    }

    /** Shows a piece of work in the gallery. */
    #[Route('/student/gallery/{id}', methods: ['GET'])]
    public function piece(#[CurrentUser] StudentUser $student, string $id): GalleryPiece
    {
        return $this->reader->piece($student, $id);
    }

    /** Leaves a remark beside a piece of work, or takes it back. */
    #[Route('/student/gallery/{id}/remark', methods: ['PUT'])]
    public function remark(
        #[CurrentUser]
        StudentUser $student,
        string $id,
        #[Body]
        WriteRemark $request,
    ): GalleryPiece {
        $this->galleries->remark($student, $id, $request->text);

        return $this->reader->piece($student, $id);
    }

    /** Gives a picture of a piece of work in the gallery. */
    #[Route('/student/gallery/{id}/media/{media}', methods: ['GET'])]
    #[FileTypes('image/*', 'audio/*')]
    public function media(#[CurrentUser] StudentUser $student, string $id, string $media): Bytes
    {
        return $this->media->ofCopy($this->reader->hung($student, $id)[1], $media);
    }
}
