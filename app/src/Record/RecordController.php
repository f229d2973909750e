<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record;

use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Http\Body\Body;
use FreshHuddle\App\Http\File\Download;
use FreshHuddle\App\Http\OpenApi\FileTypes;
use FreshHuddle\App\Lesson\LessonAccess;
use FreshHuddle\App\Record\Correction\CorrectFigure;
use FreshHuddle\App\Record\Correction\FigureCorrections;
use FreshHuddle\App\Record\Export\RecordExport;
use FreshHuddle\App\Record\Export\RecordPdf;
use FreshHuddle\App\Record\Export\ResultsPackage;
use FreshHuddle\App\Record\Points\PointsRules;
use FreshHuddle\App\Record\Points\StatePoints;
use FreshHuddle\App\Record\Replay\WorkAtReader;
use FreshHuddle\App\Record\Replay\WorkAtView;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/**
 * What came of a lesson.
 */
#[Route('/api/staff/lessons/{id}', requirements: ['id' => Requirement::UUID, 'format' => 'csv|json|pdf|oneroster'])]
final readonly class RecordController
{
    public function __construct(
        private LessonAccess $access,
        private RecordBuilder $records,
        private FigureCorrections $corrections,
        private PointsRules $rules,
        private RecordExport $export,
        private RecordPdf $paper,
        private ResultsPackage $results,
        private WorkAtReader $workAt,
    ) {
    }

    /** Shows what came of a lesson. */
    #[Route('/record', methods: ['GET'])]
    public function show(#[CurrentUser] Teacher $teacher, string $id): RecordView
    {
        return $this->records->view($this->access->lesson($teacher, $id));
    }

    /** Corrects a figure of a student by hand, or takes the computed one again. */
    #[Route('/record/figures', methods: ['PUT'])]
    public function correct(#[CurrentUser] Teacher $teacher, string $id, #[Body] CorrectFigure $request): void
    {
        $this->corrections->correct($this->access->lesson($teacher, $id), $teacher, $request);
    }

    /** States how participation points come about, for all lessons of the class. */
    #[Route('/record/points', methods: ['PUT'])]
    public function points(#[CurrentUser] Teacher $teacher, string $id, #[Body] StatePoints $request): void
    {
        $this->rules->state($this->access->lesson($teacher, $id)->class, $request);
    }

    /** Shows the work of a group as it was at a moment (milliseconds since 1970). */
    #[Route('/record/work/{group}/{at}', requirements: ['group' => Requirement::UUID, 'at' => '\d{1,15}'], methods: ['GET'])]
    public function workAt(#[CurrentUser] Teacher $teacher, string $id, string $group, int $at): WorkAtView
    {
        return new WorkAtView($at, $this->workAt->work($this->access->lesson($teacher, $id), $group, $at));
    }

    /** Gives the record of a lesson on paper and for other programs; `oneroster`: its points as results. */
    #[Route('/record.{format}', methods: ['GET'])]
    #[FileTypes('text/csv', 'application/json', 'application/pdf', 'application/zip')]
    public function export(#[CurrentUser] Teacher $teacher, string $id, string $format): Download
    {
        $lesson = $this->access->lesson($teacher, $id);
        $record = $this->records->record($lesson);
        $corrections = $this->corrections->ofLesson($lesson);
        $rule = $this->rules->ofClass($lesson->class);
        $name = "{$lesson->class->name} · {$lesson->title} · record";

        return match ($format) {
            'csv' => new Download(
                $this->export->csv($record, $corrections, $rule),
                $name.'.csv',
                'text/csv; charset=utf-8',
            ),
            'json' => new Download(
                $this->export->json($lesson, $record, $corrections, $rule),
                $name.'.json',
                'application/json',
            ),
            'pdf' => new Download($this->paper->make($lesson, $record), $name.'.pdf', 'application/pdf'),
            default => new Download(
                $this->results->zip($lesson, $record, $corrections, $rule),
                $name.' OneRoster.zip',
                'application/zip',
            ),
        };
    }
}
