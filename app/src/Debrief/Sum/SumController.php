<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\Sum;

use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Http\Body\Body;
use FreshHuddle\App\Http\File\Download;
use FreshHuddle\App\Http\OpenApi\FileTypes;
use FreshHuddle\App\Lesson\LessonAccess;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/**
 * Sums over all groups of a round.
 */
#[Route('/api/staff/rounds/{id}', requirements: ['id' => Requirement::UUID])]
final readonly class SumController
{
    public function __construct(
        private LessonAccess $access,
        private SumReader $sums,
        private SumExport $export,
        private SumPdf $paper,
        private AnswersApart $apart,
    ) {
    }

    /**
     * Sums up what all groups have done, place by place.
     *
     * @return list<SumView>
     */
    #[Route('/sums', methods: ['GET'])]
    public function sums(#[CurrentUser] Teacher $teacher, string $id): array
    {
        return $this->sums->forRound($this->access->round($teacher, $id));
    }

    /**
     * Takes an answer out of like ones, or puts it back among them.
     *
     * @return list<SumView>
     */
    #[Route('/sums/apart', methods: ['PUT'])]
    public function apart(#[CurrentUser] Teacher $teacher, string $id, #[Body] SetApart $request): array
    {
        $round = $this->access->round($teacher, $id);
        $this->apart->set($round, $request);

        return $this->sums->forRound($round);
    }

    /** Gives all sums of a round on paper. */
    #[Route('/sums.pdf', methods: ['GET'])]
    #[FileTypes('application/pdf')]
    public function pdf(#[CurrentUser] Teacher $teacher, string $id): Download
    {
        $round = $this->access->round($teacher, $id);

        return new Download(
            $this->paper->make($round->lesson->title, $round->lesson->class->name, $this->sums->forRound($round)),
            "{$round->lesson->class->name} · {$round->lesson->title} · answers.pdf",
            'application/pdf',
        );
    }

    /** Gives all sums of a round as a table. */
    #[Route('/sums.csv', methods: ['GET'])]
    #[FileTypes('text/csv')]
    public function csv(#[CurrentUser] Teacher $teacher, string $id): Download
    {
        $round = $this->access->round($teacher, $id);

        return new Download(
            $this->export->csv($this->sums->forRound($round)),
            "{$round->lesson->class->name} · {$round->lesson->title} · answers.csv",
            'text/csv; charset=utf-8',
        );
    }
}
