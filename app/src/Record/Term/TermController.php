<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record\Term;

use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Http\File\Download;
use FreshHuddle\App\Http\OpenApi\FileTypes;
use FreshHuddle\App\Roster\ClassAccess;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/**
 * A class over the term.
 */
#[Route('/api/staff/classes/{id}', requirements: ['id' => Requirement::UUID, 'format' => 'csv|pdf'])]
final readonly class TermController
{
    public function __construct(
        private ClassAccess $access,
        private TermBuilder $terms,
        private TermExport $export,
        private TermPdf $paper,
    ) {
    }

    /** Shows who has worked with whom, who had which role, was called on, was missing and was visited. */
    #[Route('/term', methods: ['GET'])]
    public function show(#[CurrentUser] Teacher $teacher, string $id): TermView
    {
        return $this->terms->view($this->access->schoolClass($teacher, $id));
    }

    /** Gives the same on paper and for other programs. */
    #[Route('/term.{format}', methods: ['GET'])]
    #[FileTypes('text/csv', 'application/pdf')]
    public function export(#[CurrentUser] Teacher $teacher, string $id, string $format): Download
    {
        $class = $this->access->schoolClass($teacher, $id);
        $term = $this->terms->view($class);

        return 'csv' === $format
            ? new Download($this->export->csv($term), "{$class->name} · term.csv", 'text/csv; charset=utf-8')
            : new Download($this->paper->make($term), "{$class->name} · term.pdf", 'application/pdf');
    }
}
