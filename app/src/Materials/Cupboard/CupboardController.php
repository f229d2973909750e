<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Cupboard;

use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Http\Body\Body;
use FreshHuddle\App\Http\File\Download;
use FreshHuddle\App\Http\File\Package;
use FreshHuddle\App\Http\OpenApi\FileTypes;
use FreshHuddle\App\Lesson\LessonAccess;
use FreshHuddle\App\Materials\Cupboard\File\Imported;
use FreshHuddle\App\Materials\Cupboard\File\ImportOriginal;
use FreshHuddle\App\Materials\Cupboard\File\OriginalFile;
use FreshHuddle\App\Materials\Cupboard\File\OriginalImporter;
use FreshHuddle\App\Materials\Cupboard\File\OriginalPackage;
use FreshHuddle\App\Materials\HandOut\Plan\RoundOriginals;
use FreshHuddle\App\Words\Words;
use FreshHuddle\Core\Message;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/**
 * A teacher's worksheets.
 */
#[Route('/api/staff', requirements: ['id' => Requirement::UUID])]
final readonly class CupboardController
{
    public function __construct(
        private Cupboard $cupboard,
        private CupboardReader $reader,
        private OriginalAccess $access,
        private LessonAccess $lessonAccess,
        private RoundOriginals $originals,
        private Words $words,
        private OriginalFile $files,
        private OriginalPackage $packages,
        private OriginalImporter $bringing,
    ) {
    }

    /**
     * Lists the teacher's worksheets.
     *
     * @return list<OriginalSummary>
     */
    #[Route('/originals', methods: ['GET'])]
    public function all(#[CurrentUser] Teacher $teacher): array
    {
        return $this->reader->forTeacher($teacher);
    }

    /** Creates a worksheet. */
    #[Route('/originals', methods: ['POST'])]
    public function add(#[CurrentUser] Teacher $teacher, #[Body(1_000_000)] SaveOriginal $request): OriginalView
    {
        return $this->cupboard->view($this->cupboard->add($teacher, $request));
    }

    /** Imports a worksheet from a file. */
    #[Route('/originals/import', methods: ['POST'])]
    public function import(
        #[CurrentUser]
        Teacher $teacher,
        #[Body(Package::MOST_REQUEST)]
        ImportOriginal $request,
    ): Imported {
        return $this->bringing->import($teacher, $request);
    }

    /** Exports a worksheet as a file. */
    #[Route('/originals/{id}/export/{format}', methods: ['GET'], requirements: ['format' => 'json|md'])]
    #[FileTypes('application/json', 'text/markdown', 'application/zip')]
    public function export(#[CurrentUser] Teacher $teacher, string $id, string $format): Download
    {
        $master = $this->access->original($teacher, $id);
        $original = $this->cupboard->original($master);

        $text =
            'json' === $format ? $this->files->json($original, $master) : $this->files->markdown($original, $master);
        if ([] !== $original->media()) {
            return new Download(
                $this->packages->write("original.{$format}", $text, $original),
                "{$master->title}.zip",
                'application/zip',
            );
        }

        return new Download(
            $text,
            "{$master->title}.{$format}",
            'json' === $format ? 'application/json' : 'text/markdown; charset=UTF-8',
        );
    }

    /** Creates a worksheet for a round; each group of the round gets a copy. */
    #[Route('/rounds/{id}/originals', methods: ['POST'])]
    public function addTo(
        #[CurrentUser]
        Teacher $teacher,
        string $id,
        #[Body(1_000_000)]
        SaveOriginal $request,
    ): OriginalView {
        $round = $this->lessonAccess->round($teacher, $id);

        return $this->cupboard->view($this->originals->add($teacher, $round, $request));
    }

    /** Shows a worksheet. */
    #[Route('/originals/{id}', methods: ['GET'])]
    public function show(#[CurrentUser] Teacher $teacher, string $id): OriginalView
    {
        return $this->cupboard->view($this->access->original($teacher, $id));
    }

    /** Saves a worksheet; what two windows change is brought together. */
    #[Route('/originals/{id}', methods: ['PUT'])]
    public function save(
        #[CurrentUser]
        Teacher $teacher,
        string $id,
        #[Body(2_000_000)]
        SaveOriginal $request,
    ): OriginalView {
        return $this->cupboard->view($this->cupboard->save($this->access->original($teacher, $id), $request));
    }

    /** Copies a worksheet. */
    #[Route('/originals/{id}/copy', methods: ['POST'])]
    public function copy(#[CurrentUser] Teacher $teacher, string $id): OriginalView
    {
        $master = $this->access->original($teacher, $id);

        return $this->cupboard->view(
            $this->cupboard->copy(
                $teacher,
                $master,
                $this->words->say(new Message('materials.copy_of', ['title' => $master->title])),
            ),
        );
    }

    /** Archives a worksheet, or takes it out of the archive. */
    #[Route('/originals/{id}/archive', methods: ['PUT'])]
    public function archive(#[CurrentUser] Teacher $teacher, string $id, #[Body] Archive $request): Response
    {
        $this->cupboard->archive($this->access->original($teacher, $id), $request->archived);

        return new Response(null, 204);
    }

    /**
     * Lists deleted worksheets that can be brought back.
     *
     * @return list<DeletedOriginal>
     */
    #[Route('/originals/deleted', methods: ['GET'], priority: 1)]
    public function deleted(#[CurrentUser] Teacher $teacher): array
    {
        return $this->cupboard->deleted($teacher);
    }

    /** Deletes a worksheet; lessons that use it keep it. */
    #[Route('/originals/{id}', methods: ['DELETE'])]
    public function remove(#[CurrentUser] Teacher $teacher, string $id): Response
    {
        $this->cupboard->remove($this->access->own($teacher, $id), true);

        return new Response(null, 204);
    }

    /** Brings a deleted worksheet back. */
    #[Route('/originals/{id}/restore', methods: ['POST'])]
    public function restore(#[CurrentUser] Teacher $teacher, string $id): Response
    {
        $this->cupboard->remove($this->access->own($teacher, $id), false);

        return new Response(null, 204);
    }
}
