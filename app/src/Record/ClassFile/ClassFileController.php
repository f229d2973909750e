<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record\ClassFile;

use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Http\Body\Body;
use FreshHuddle\App\Http\File\Download;
use FreshHuddle\App\Http\File\Package;
use FreshHuddle\App\Http\OpenApi\FileTypes;
use FreshHuddle\App\Record\Exception\RecordRefused;
use FreshHuddle\App\Roster\ClassAccess;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/**
 * A whole class as one file, out and in.
 */
#[Route('/api/staff', requirements: ['id' => Requirement::UUID])]
final readonly class ClassFileController
{
    public function __construct(
        private ClassAccess $access,
        private ClassFileWriter $writer,
        private ClassFileImporter $importer,
    ) {
    }

    /** Saves a class as one file, for moving house: names, rules, history, records. */
    #[Route('/classes/{id}/file', methods: ['GET'])]
    #[FileTypes('application/zip')]
    public function save(#[CurrentUser] Teacher $teacher, string $id): Download
    {
        $class = $this->access->own($teacher, $id);

        return new Download($this->writer->write($class), $class->name.' class.zip', 'application/zip');
    }

    /** Has a class move in from a file. */
    #[Route('/classes/file', methods: ['POST'])]
    public function open(
        #[CurrentUser]
        Teacher $teacher,
        #[Body(Package::MOST_REQUEST)]
        OpenClassFile $request,
    ): OpenedClass {
        $bytes = base64_decode($request->package, true);
        if (false === $bytes) {
            throw RecordRefused::unusable('record.file.another_kind', 'package');
        }

        return new OpenedClass($this->importer->import($teacher, $bytes)->id);
    }
}
