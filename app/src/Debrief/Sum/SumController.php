<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\Sum;

use FreshHuddle\App\Account\Teacher;
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
