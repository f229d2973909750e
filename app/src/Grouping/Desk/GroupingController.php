<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Desk;

use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Grouping\Export\GroupingExport;
use FreshHuddle\App\Grouping\GroupingAccess;
use FreshHuddle\App\Grouping\GroupingSummary;
use FreshHuddle\App\Grouping\History\GroupingUsage;
use FreshHuddle\App\Http\Body\Body;
use FreshHuddle\App\Http\File\Download;
use FreshHuddle\App\Http\OpenApi\FileTypes;
use FreshHuddle\App\Roster\ClassAccess;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/**
 * The Groups page: its groups, how they are made, and saved versions.
 */
#[Route('/api/staff', requirements: ['id' => Requirement::UUID])]
final readonly class GroupingController
{
    public function __construct(
        private Groupings $groupings,
        private DeskViews $views,
        private GroupingExport $export,
        private GroupingUsage $list,
        private ClassAccess $classAccess,
        private GroupingAccess $groupingAccess,
    ) {
    }

    /** Creates a grouping for a class. */
    #[Route('/classes/{id}/groupings', methods: ['POST'])]
    public function make(#[CurrentUser] Teacher $teacher, string $id, #[Body] NameGrouping $request): DeskView
    {
        return $this->views->view(
            $this->groupings->create($this->classAccess->schoolClass($teacher, $id), trim($request->name)),
        );
    }

    /**
     * Lists the groupings of a class.
     *
     * @return list<GroupingSummary> newest first
     */
    #[Route('/classes/{id}/groupings', methods: ['GET'])]
    public function list(#[CurrentUser] Teacher $teacher, string $id): array
    {
        return $this->list->summaries($this->classAccess->schoolClass($teacher, $id)->id);
    }

    /** Shows a grouping with all that the grouping desk needs. */
    #[Route('/groupings/{id}', methods: ['GET'])]
    public function show(#[CurrentUser] Teacher $teacher, string $id): DeskView
    {
        return $this->views->view($this->groupingAccess->grouping($teacher, $id));
    }

    /** Changes the name, goals, rules or settings of a grouping. */
    #[Route('/groupings/{id}', methods: ['PATCH'])]
    public function set(#[CurrentUser] Teacher $teacher, string $id, #[Body(131_072)] SetGrouping $request): DeskView
    {
        $grouping = $this->groupingAccess->grouping($teacher, $id);
        $this->groupings->set($grouping, $request);

        return $this->views->view($grouping);
    }

    /** Deletes a grouping. */
    #[Route('/groupings/{id}', methods: ['DELETE'])]
    public function remove(#[CurrentUser] Teacher $teacher, string $id): void
    {
        $this->groupings->remove($this->groupingAccess->grouping($teacher, $id));
    }

    /** Brings a deleted grouping back. */
    #[Route('/groupings/{id}/restore', methods: ['POST'])]
    public function restore(#[CurrentUser] Teacher $teacher, string $id): void
    {
        $this->groupings->restore($this->groupingAccess->grouping($teacher, $id));
    }

    /** Copies a grouping. */
    #[Route('/groupings/{id}/copy', methods: ['POST'])]
    public function copy(#[CurrentUser] Teacher $teacher, string $id, #[Body] NameGrouping $request): DeskView
    {
        return $this->views->view(
            $this->groupings->copy($this->groupingAccess->grouping($teacher, $id), trim($request->name)),
        );
    }

    /** Exports the groups as a file. */
    #[Route('/groupings/{id}/export/{format}', requirements: ['format' => 'pdf|csv|json'], methods: ['GET'])]
    #[FileTypes('application/pdf', 'text/csv', 'application/json')]
    public function export(#[CurrentUser] Teacher $teacher, string $id, string $format): Download
    {
        $view = $this->views->view($this->groupingAccess->grouping($teacher, $id));

        return match ($format) {
            'csv' => new Download(
                $this->export->csv($view),
                $view->className.' · '.$view->name.'.csv',
                'text/csv; charset=UTF-8',
            ),
            'json' => new Download(
                $this->export->json($view),
                $view->className.' · '.$view->name.'.json',
                'application/json',
            ),
            default => new Download(
                $this->export->pdf($view),
                $view->className.' · '.$view->name.'.pdf',
                'application/pdf',
            ),
        };
    }
}
