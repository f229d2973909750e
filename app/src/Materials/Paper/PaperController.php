<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Paper;

use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Http\Download;
use FreshHuddle\App\Lesson\LessonAccess;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

#[Route('/api/staff/rounds/{id}/paper', requirements: ['id' => Requirement::UUID])]
final readonly class PaperController
{
    public function __construct(private Handouts $handouts, private Prints $prints, private LessonAccess $lessonAccess)
    {
    }

    #[Route('', methods: ['GET'])]
    public function show(#[CurrentUser] Teacher $teacher, string $id): HandoutsView
    {
        return $this->handouts->of($this->lessonAccess->round($teacher, $id));
    }

    /** The groups with their work on a page, or a slip a student, eight to a page. */
    #[Route('/{what}.pdf', methods: ['GET'], requirements: ['what' => 'plan|slips'])]
    public function pdf(#[CurrentUser] Teacher $teacher, string $id, string $what, Request $http): Download
    {
        $round = $this->handouts->of($this->lessonAccess->round($teacher, $id));

        return new Download('plan' === $what ? $this->prints->plan($round, $http->query->getString('zone', 'UTC')) : $this->prints->slips($round, $http->getSchemeAndHttpHost()), "{$round->className} · {$round->title} · {$what}.pdf", 'application/pdf');
    }
}
