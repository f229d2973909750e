<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\SetUp;

use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Http\Body\Body;
use FreshHuddle\App\Http\File\Download;
use FreshHuddle\App\Http\OpenApi\FileTypes;
use FreshHuddle\App\Lesson\LessonAccess;
use FreshHuddle\App\Ready\Export\SetUpExport;
use FreshHuddle\App\Ready\ServiceProbe;
use FreshHuddle\App\Roster\Staff\ForAssistants;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/**
 * The steps that set a lesson up, and carrying them out.
 */
final readonly class SetUpController
{
    public function __construct(
        private SetUps $setUps,
        private SetUpListViews $views,
        private SetUpExport $export,
        private ServiceProbe $probe,
        private LessonAccess $access,
    ) {
    }

    /** Lists everything that setting up a round will do. */
    #[Route('/api/staff/rounds/{id}/set-up', methods: ['GET'], requirements: ['id' => Requirement::UUID])]
    public function list(#[CurrentUser] Teacher $teacher, string $id): SetUpListView
    {
        return $this->views->list($this->access->round($teacher, $id));
    }

    /** Sets a round up as it was shown. */
    #[Route('/api/staff/rounds/{id}/set-up', methods: ['POST'], requirements: ['id' => Requirement::UUID])]
    #[ForAssistants]
    public function carryOut(
        #[CurrentUser]
        Teacher $teacher,
        string $id,
        #[Body(120_000)]
        CarryOut $request,
    ): Response {
        $this->setUps->carryOut($teacher, $this->access->round($teacher, $id), $request);

        return new Response(null, 204);
    }

    /** Checks whether rooms and posts at other services are still there. */
    #[Route('/api/staff/rounds/{id}/look', methods: ['POST'], requirements: ['id' => Requirement::UUID])]
    #[ForAssistants]
    public function look(#[CurrentUser] Teacher $teacher, string $id): Response
    {
        $this->probe->probe($this->access->round($teacher, $id));

        return new Response(null, 204);
    }

    /** Exports the whole set-up for other programs. */
    #[Route(
        '/api/staff/rounds/{id}/set-up.{format}',
        methods: ['GET'],
        requirements: ['id' => Requirement::UUID, 'format' => 'csv|json'],
    ),]
    #[FileTypes('text/csv', 'application/json')]
    public function export(#[CurrentUser] Teacher $teacher, string $id, string $format, Request $http): Download
    {
        $round = $this->access->round($teacher, $id);
        $name = "{$round->lesson->class->name} · {$round->lesson->title} · set-up.{$format}";
        // Whoever has a code comes in as its student: only those who ask for them get them.
        $origin = '1' === $http->query->get('codes') ? $http->getSchemeAndHttpHost() : null;

        return 'csv' === $format
            ? new Download($this->export->csv($round, $origin), $name, 'text/csv; charset=utf-8')
            : new Download($this->export->json($round, $origin), $name, 'application/json');
    }

    /** Tries the failed steps again. */
    #[Route('/api/staff/set-ups/{id}/again', methods: ['POST'], requirements: ['id' => Requirement::UUID])]
    #[ForAssistants]
    public function again(#[CurrentUser] Teacher $teacher, string $id, #[Body(200)] TryStep $request): Response
    {
        $setUp = $this->setUps->find($id);
        $this->access->round($teacher, $setUp->round->id);
        $this->setUps->again($setUp, $request->position);

        return new Response(null, 204);
    }
}
