<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Media;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Http\Body\Body;
use FreshHuddle\App\Http\File\Bytes;
use FreshHuddle\App\Http\OpenApi\FileTypes;
use FreshHuddle\App\Materials\Exception\MaterialsRefused;
use FreshHuddle\App\Materials\Writing\CopyWriter;
use FreshHuddle\App\Roster\Device\StudentUser;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/**
 * Pictures and recordings of a teacher's worksheets.
 */
#[Route('/api', requirements: ['id' => Requirement::UUID, 'media' => Requirement::UUID])]
final readonly class MediaController
{
    private const FILE = 6_800_000;

    public function __construct(
        private MediaShelf $shelf,
        private MediaReader $reader,
        private CopyWriter $writer,
        private EntityManagerInterface $em,
    ) {
    }

    /** Keeps a picture or a recording of the teacher's. */
    #[Route('/staff/media', methods: ['POST'])]
    public function put(#[CurrentUser] Teacher $teacher, #[Body(self::FILE)] PutMedia $request): MediaView
    {
        return $this->shelf->put($teacher, $request);
    }

    /** Gives a picture or a recording. */
    #[Route('/staff/media/{id}', methods: ['GET'])]
    #[FileTypes('image/*', 'audio/*')]
    public function show(#[CurrentUser] Teacher $teacher, string $id): Bytes
    {
        return $this->bytes($this->reader->open($teacher->id, [$id]));
    }

    /** Keeps a student's picture for a copy they write in. */
    #[Route('/student/copies/{id}/media', methods: ['POST'])]
    public function putInto(
        #[CurrentUser]
        StudentUser $student,
        string $id,
        #[Body(self::FILE)]
        PutMedia $request,
    ): MediaView {
        [$copy, $who] = $this->writer->forPictures($id, $student->id);

        return $this->shelf->putInto($copy, $who, $request);
    }

    /** Gives a picture of a copy to a student who may see it. */
    #[Route('/student/copies/{id}/media/{media}', methods: ['GET'])]
    #[FileTypes('image/*', 'audio/*')]
    public function showIn(#[CurrentUser] StudentUser $student, string $id, string $media): Bytes
    {
        $this->writer->mustSeePicture($id, $student->id, $media);

        return $this->bytes($this->reader->in($id, [$media]));
    }

    /**
     * @param list<string> $open
     */
    private function bytes(array $open): Bytes
    {
        $media = [] === $open ? null : $this->em->find(Media::class, $open[0]);

        return null === $media
            ? throw MaterialsRefused::missing() : new Bytes($this->shelf->bytes($media), $media->type);
    }
}
