<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Paper;

use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Http\File\Download;
use FreshHuddle\App\Http\OpenApi\FileTypes;
use FreshHuddle\App\Lesson\LessonAccess;
use FreshHuddle\App\Materials\Exception\MaterialsRefused;
use FreshHuddle\App\Materials\Job\JobKind;
use FreshHuddle\App\Materials\Job\Jobs;
use FreshHuddle\App\Materials\Job\JobView;
use FreshHuddle\App\Roster\Staff\ForAssistants;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/**
 * What can be printed: slips, worksheets, the plan of groups.
 */
#[Route('/api/staff/rounds/{id}/paper', requirements: ['id' => Requirement::UUID])]
final readonly class PaperController
{
    public function __construct(
        private Handouts $handouts,
        private Prints $prints,
        private LessonAccess $lessonAccess,
        private Jobs $jobs,
    ) {
    }

    /** Shows what a round has to print. */
    #[Route('', methods: ['GET'])]
    public function show(#[CurrentUser] Teacher $teacher, string $id): HandoutsView
    {
        return $this->handouts->forRound($this->lessonAccess->round($teacher, $id));
    }

    /** Prints the groups with their work, or eight slips to a page, as PDF. */
    #[Route('/{what}.pdf', methods: ['GET'], requirements: ['what' => 'plan|slips'])]
    #[FileTypes('application/pdf')]
    public function pdf(#[CurrentUser] Teacher $teacher, string $id, string $what, Request $http): Download
    {
        $round = $this->handouts->forRound($this->lessonAccess->round($teacher, $id));
        if ('slips' === $what && $round->bitByBit) {
            throw MaterialsRefused::unusable('materials.job.too_many_slips', null, ['most' => Handouts::MOST_SLIPS]);
        }

        return new Download(
            'plan' === $what
                ? $this->prints->plan($round, $http->query->getString('zone', 'UTC'))
                : $this->prints->slips($round, $http->getSchemeAndHttpHost()),
            "{$round->className} · {$round->title} · {$what}.pdf",
            'application/pdf',
        );
    }

    /** Begins to make the slips of a large class. */
    #[Route('/slips', methods: ['POST'])]
    #[ForAssistants]
    public function slips(#[CurrentUser] Teacher $teacher, string $id, Request $http): JobView
    {
        $round = $this->handouts->forRound($this->lessonAccess->round($teacher, $id));
        $name = "{$round->className} · {$round->title} · slips.pdf";

        return JobView::fromJob(
            $this->jobs->begin(
                $teacher,
                JobKind::Slips,
                $name,
                SlipsJob::input($round, $http->getSchemeAndHttpHost()),
                (int) ceil(\count($round->slips) / SlipsJob::AT_ONCE),
            ),
        );
    }
}
