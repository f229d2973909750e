<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record\Privacy;

use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Http\File\Download;
use FreshHuddle\App\Http\OpenApi\FileTypes;
use FreshHuddle\App\Roster\ClassAccess;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/**
 * What a student may ask for.
 */
#[Route('/api/staff/students/{id}', requirements: ['id' => Requirement::UUID])]
final readonly class StudentExportController
{
    public function __construct(private ClassAccess $access, private StudentExport $export)
    {
    }

    /** Gives everything that is kept about one student in one file. */
    #[Route('/everything', methods: ['GET'])]
    #[FileTypes('application/zip')]
    public function everything(#[CurrentUser] Teacher $teacher, string $id): Download
    {
        $student = $this->access->student($teacher, $id);

        return new Download($this->export->zip($student), $student->name.'.zip', 'application/zip');
    }
}
