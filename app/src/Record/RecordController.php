<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record;

use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Http\File\Download;
use FreshHuddle\App\Http\OpenApi\FileTypes;
use FreshHuddle\App\Lesson\LessonAccess;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/**
 * What came of a lesson.
 */
#[Route('/api/staff/lessons/{id}', requirements: ['id' => Requirement::UUID, 'format' => 'csv|json'])]
final readonly class RecordController
{
    public function __construct(
        private LessonAccess $access,
        private RecordBuilder $records,
        private RecordExport $export,
    ) {
    }

    /** Shows what came of a lesson. */
    #[Route('/record', methods: ['GET'])]
    public function show(#[CurrentUser] Teacher $teacher, string $id): RecordView
    {
        return $this->records->view($this->access->lesson($teacher, $id));
    }

    /** Gives the record of a lesson for other programs. */
    #[Route('/record.{format}', methods: ['GET'])]
    #[FileTypes('text/csv', 'application/json')]
    public function export(#[CurrentUser] Teacher $teacher, string $id, string $format): Download
    {
        $lesson = $this->access->lesson($teacher, $id);
        $record = $this->records->record($lesson);
        $name = "{$lesson->class->name} · {$lesson->title} · record.{$format}";

        return 'csv' === $format
            ? new Download($this->export->csv($record), $name, 'text/csv; charset=utf-8')
            : new Download($this->export->json($lesson, $record), $name, 'application/json');
    }
}
