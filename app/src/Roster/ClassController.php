<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster;

use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Http\Body\Body;
use FreshHuddle\App\Http\File\Download;
use FreshHuddle\App\Http\OpenApi\FileTypes;
use FreshHuddle\App\Roster\Column\FillColumn;
use FreshHuddle\App\Roster\Export\ClassExport;
use FreshHuddle\App\Roster\Export\OneRosterPackage;
use FreshHuddle\App\Roster\Import\ClassImport;
use FreshHuddle\App\Roster\Import\ImportRequest;
use FreshHuddle\App\Roster\Import\ImportView;
use FreshHuddle\App\Roster\Rule\ClassRules;
use FreshHuddle\App\Roster\Rule\MakeRule;
use FreshHuddle\App\Roster\Rule\RuleMade;
use FreshHuddle\App\Roster\Rule\Wishes;
use FreshHuddle\App\Roster\Staff\ForAssistants;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/**
 * A teacher's classes and their lists.
 */
#[Route('/api/staff', requirements: ['id' => Requirement::UUID])]
final readonly class ClassController
{
    /** A pasted list: 100,000 signs of up to four bytes. */
    private const LIST = 410_000;
    /** A file of 4 MB in base64, or 500,000 pasted signs, with what was said of the columns. */
    private const FILE = 5_700_000;

    public function __construct(
        private Roster $roster,
        private ClassReader $views,
        private ClassRules $rules,
        private Wishes $wishes,
        private ClassImport $import,
        private ClassExport $export,
        private OneRosterPackage $oneRoster,
        private ClassAccess $classAccess,
    ) {
    }

    /**
     * Lists the teacher's classes.
     *
     * @return list<ClassSummary>
     */
    #[Route('/classes', methods: ['GET'])]
    public function list(#[CurrentUser] Teacher $teacher): array
    {
        return $this->views->all($teacher);
    }

    /** Creates a class. */
    #[Route('/classes', methods: ['POST'])]
    public function make(#[CurrentUser] Teacher $teacher, #[Body(self::LIST)] MakeClass $request): ClassView
    {
        return $this->views->view($this->roster->create($teacher, $request->name, $request->names));
    }

    /** Previews what a list would give, for a class that isn't there yet. */
    #[Route('/classes/new/import/preview', methods: ['POST'])]
    public function previewNew(#[Body(self::FILE)] ImportRequest $request): ImportView
    {
        return $this->import->preview(null, $request);
    }

    /** Shows a class with its list, rules and tables. */
    #[Route('/classes/{id}', methods: ['GET'])]
    public function show(#[CurrentUser] Teacher $teacher, string $id): ClassView
    {
        return $this->views->view($this->classAccess->schoolClass($teacher, $id));
    }

    /** Changes a class, for example its name. */
    #[Route('/classes/{id}', methods: ['PATCH'])]
    public function rename(#[CurrentUser] Teacher $teacher, string $id, #[Body] RenameClass $request): ClassView
    {
        $class = $this->classAccess->schoolClass($teacher, $id);
        $this->roster->rename($class, $request->name);

        return $this->views->view($class);
    }

    /** Fills one column for many students at once. */
    #[Route('/classes/{id}/column', methods: ['PUT'])]
    public function fill(#[CurrentUser] Teacher $teacher, string $id, #[Body(self::LIST)] FillColumn $request): void
    {
        $this->roster->fillColumn($this->classAccess->schoolClass($teacher, $id), $request);
    }

    /** Previews what an imported list would change. */
    #[Route('/classes/{id}/import/preview', methods: ['POST'])]
    public function previewImport(
        #[CurrentUser]
        Teacher $teacher,
        string $id,
        #[Body(self::FILE)]
        ImportRequest $request,
    ): ImportView {
        return $this->import->preview($this->classAccess->schoolClass($teacher, $id), $request);
    }

    /** Imports a list. */
    #[Route('/classes/{id}/import', methods: ['POST'])]
    public function import(
        #[CurrentUser]
        Teacher $teacher,
        string $id,
        #[Body(self::FILE)]
        ImportRequest $request,
    ): ImportView {
        return $this->import->carryOut($this->classAccess->schoolClass($teacher, $id), $request);
    }

    /** Exports a class as a file. */
    #[Route('/classes/{id}/export/{format}', requirements: ['format' => 'csv|json|oneroster'], methods: ['GET'])]
    #[FileTypes('text/csv', 'application/json', 'application/zip')]
    public function export(#[CurrentUser] Teacher $teacher, string $id, string $format): Download
    {
        $class = $this->classAccess->schoolClass($teacher, $id);

        return match ($format) {
            'csv' => new Download($this->export->csv($class), $class->name.'.csv', 'text/csv; charset=UTF-8'),
            'json' => new Download($this->export->json($class), $class->name.'.json', 'application/json'),
            default => new Download(
                $this->oneRoster->forClass($class),
                $class->name.' OneRoster.zip',
                'application/zip',
            ),
        };
    }

    /** Copies a class with its students, tables, columns and rules. */
    #[Route('/classes/{id}/copy', methods: ['POST'])]
    public function copy(#[CurrentUser] Teacher $teacher, string $id, #[Body] RenameClass $request): ClassView
    {
        return $this->views->view($this->roster->copy($this->classAccess->schoolClass($teacher, $id), $request->name));
    }

    /** Archives a class, or takes it out of the archive. */
    #[Route('/classes/{id}/archive', methods: ['POST'])]
    public function archive(#[CurrentUser] Teacher $teacher, string $id, #[Body] ArchiveClass $request): void
    {
        $this->roster->archive($this->classAccess->schoolClass($teacher, $id), $request->archived);
    }

    /** Deletes a class; its join words lead nowhere. */
    #[Route('/classes/{id}', methods: ['DELETE'])]
    public function removeClass(#[CurrentUser] Teacher $teacher, string $id): void
    {
        $this->roster->removeClass($this->classAccess->own($teacher, $id));
    }

    /** Brings a deleted class back. */
    #[Route('/classes/{id}/restore', methods: ['POST'])]
    public function restoreClass(#[CurrentUser] Teacher $teacher, string $id): void
    {
        $this->roster->restoreClass($this->classAccess->removed($teacher, $id));
    }

    /** Adds a rule: students who stay apart or together. */
    #[Route('/classes/{id}/rules', methods: ['POST'])]
    public function addRule(#[CurrentUser] Teacher $teacher, string $id, #[Body] MakeRule $request): RuleMade
    {
        return $this->rules->add($this->classAccess->schoolClass($teacher, $id), $request);
    }

    /** Removes a rule. */
    #[Route('/rules/{id}', methods: ['DELETE'])]
    public function removeRule(#[CurrentUser] Teacher $teacher, string $id): void
    {
        $this->rules->remove($teacher, $id);
    }

    /** Removes all wishes of a student. */
    #[Route('/students/{id}/wishes', methods: ['DELETE'])]
    public function dropWishes(#[CurrentUser] Teacher $teacher, string $id): void
    {
        $this->wishes->drop($this->classAccess->student($teacher, $id));
    }

    /** Changes a student. */
    #[Route('/students/{id}', methods: ['PATCH'])]
    public function edit(#[CurrentUser] Teacher $teacher, string $id, #[Body(65_536)] EditStudent $request): void
    {
        $this->roster->editStudent($this->classAccess->student($teacher, $id), $request);
    }

    /** Marks a student absent, or present again. */
    #[Route('/students/{id}/absent', methods: ['POST'])]
    #[ForAssistants]
    public function markAbsent(#[CurrentUser] Teacher $teacher, string $id, #[Body] MarkAbsent $request): void
    {
        $this->roster->editStudent(
            $this->classAccess->student($teacher, $id),
            new EditStudent(absent: $request->absent),
        );
    }

    /** Removes a student from the class. */
    #[Route('/students/{id}', methods: ['DELETE'])]
    public function remove(#[CurrentUser] Teacher $teacher, string $id): void
    {
        $this->roster->remove($this->classAccess->student($teacher, $id));
    }

    /** Brings a removed student back. */
    #[Route('/students/{id}/restore', methods: ['POST'])]
    public function restore(#[CurrentUser] Teacher $teacher, string $id): void
    {
        $this->roster->restore($this->classAccess->student($teacher, $id));
    }
}
