<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\LessonFile;

use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Http\Body\Body;
use FreshHuddle\App\Http\File\Download;
use FreshHuddle\App\Http\File\Package;
use FreshHuddle\App\Http\OpenApi\FileTypes;
use FreshHuddle\App\Lesson\LessonAccess;
use FreshHuddle\App\Materials\Exception\MaterialsRefused;
use FreshHuddle\App\Roster\ClassAccess;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/**
 * A whole lesson as one file, out and in.
 */
#[Route('/api/staff', requirements: ['id' => Requirement::UUID])]
final readonly class LessonFileController
{
    public function __construct(
        private LessonAccess $lessons,
        private ClassAccess $classes,
        private LessonFileWriter $writer,
        private LessonFileImporter $importer,
    ) {
    }

    /** Saves a lesson as one file: plan, groups as they are made, worksheets; no student is in it. */
    #[Route('/lessons/{id}/file', methods: ['GET'])]
    #[FileTypes('application/zip')]
    public function save(#[CurrentUser] Teacher $teacher, string $id): Download
    {
        $lesson = $this->lessons->lesson($teacher, $id);

        return new Download($this->writer->write($lesson), $lesson->title.'.zip', 'application/zip');
    }

    /** Opens a lesson from a file for a class. */
    #[Route('/classes/{id}/lessons/file', methods: ['POST'])]
    public function open(
        #[CurrentUser]
        Teacher $teacher,
        string $id,
        #[Body(Package::MOST_REQUEST)]
        OpenLessonFile $request,
    ): OpenedLesson {
        $class = $this->classes->schoolClass($teacher, $id);
        $bytes = base64_decode($request->package, true);
        if (false === $bytes) {
            throw MaterialsRefused::unusable('materials.lesson_file_of_another_kind', 'package');
        }

        return new OpenedLesson($this->importer->import($teacher, $class, $bytes, $request->startsAt)->id);
    }
}
