<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Desk;

use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Grouping\Export\GroupingExport;
use FreshHuddle\App\Grouping\Floor\BasedOn;
use FreshHuddle\App\Grouping\Floor\EditFloor;
use FreshHuddle\App\Grouping\Floor\FloorChanges;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Grouping\Floor\FloorView;
use FreshHuddle\App\Grouping\GroupingAccess;
use FreshHuddle\App\Grouping\GroupingSummary;
use FreshHuddle\App\Grouping\History\GroupingUsage;
use FreshHuddle\App\Grouping\Proposal\DealRequest;
use FreshHuddle\App\Grouping\Proposal\ProposalView;
use FreshHuddle\App\Grouping\Proposal\Proposer;
use FreshHuddle\App\Grouping\Proposal\ProposeRequest;
use FreshHuddle\App\Grouping\Proposal\Repair\Repairer;
use FreshHuddle\App\Grouping\Proposal\Repair\RepairView;
use FreshHuddle\App\Grouping\Proposal\TakeRequest;
use FreshHuddle\App\Grouping\Proposal\Taking;
use FreshHuddle\App\Grouping\Proposal\Why\Judge;
use FreshHuddle\App\Grouping\Proposal\Why\JudgeRequest;
use FreshHuddle\App\Grouping\Proposal\Why\StandingsView;
use FreshHuddle\App\Grouping\Proposal\Why\WhyRequest;
use FreshHuddle\App\Grouping\Proposal\Why\WhyView;
use FreshHuddle\App\Grouping\SignUp\OpenSignUp;
use FreshHuddle\App\Grouping\SignUp\SignUpClose;
use FreshHuddle\App\Grouping\SignUp\SignUps;
use FreshHuddle\App\Grouping\Variant\Variants;
use FreshHuddle\App\Http\Body\Body;
use FreshHuddle\App\Http\File\Download;
use FreshHuddle\App\Http\OpenApi\FileTypes;
use FreshHuddle\App\Roster\ClassAccess;
use FreshHuddle\App\Roster\Staff\ForAssistants;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/**
 * The Groups page: its groups, how they are made, and saved versions.
 */
#[Route('/api/staff', requirements: ['id' => Requirement::UUID, 'variant' => Requirement::UUID])]
final readonly class GroupingController
{
    /** Twelve rounds of a class of 1,200, by their ids. */
    private const ROUNDS = 786_432;

    public function __construct(
        private Groupings $groupings,
        private FloorChanges $changes,
        private Taking $taking,
        private DeskViews $views,
        private DeskNotes $notes,
        private FloorStore $floors,
        private Proposer $proposer,
        private Judge $judge,
        private Repairer $repairer,
        private Variants $variants,
        private SignUps $signUps,
        private SignUpClose $signUpClose,
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

    /** Splits the class into groups at random, evenly or by an attribute. */
    #[Route('/groupings/{id}/deal', methods: ['POST'])]
    #[ForAssistants]
    public function deal(#[CurrentUser] Teacher $teacher, string $id, #[Body] DealRequest $request): FloorView
    {
        return $this->taking->deal($this->groupingAccess->grouping($teacher, $id), $request);
    }

    /** Previews the groups a method would make. Nothing is changed. */
    #[Route('/groupings/{id}/propose', methods: ['POST'])]
    #[ForAssistants]
    public function propose(
        #[CurrentUser]
        Teacher $teacher,
        string $id,
        #[Body(self::ROUNDS)]
        ProposeRequest $request,
    ): ProposalView {
        $grouping = $this->groupingAccess->grouping($teacher, $id);

        return $this->proposer->propose($grouping, $this->floors->now($id), $request);
    }

    /** Uses previewed groups, for one round or several. */
    #[Route('/groupings/{id}/take', methods: ['POST'])]
    #[ForAssistants]
    public function take(
        #[CurrentUser]
        Teacher $teacher,
        string $id,
        #[Body(self::ROUNDS)]
        TakeRequest $request,
    ): FloorView {
        return $this->taking->take($this->groupingAccess->grouping($teacher, $id), $request);
    }

    /** Says how well groups meet the goals and rules. */
    #[Route('/groupings/{id}/judge', methods: ['POST'])]
    #[ForAssistants]
    public function judge(#[CurrentUser] Teacher $teacher, string $id, #[Body] JudgeRequest $request): StandingsView
    {
        return $this->judge->standings(
            $this->groupingAccess->grouping($teacher, $id),
            $this->floors->now($id),
            $request->settings,
        );
    }

    /** Says why a student sits where they sit, and what a move would mean. */
    #[Route('/groupings/{id}/why', methods: ['POST'])]
    #[ForAssistants]
    public function why(#[CurrentUser] Teacher $teacher, string $id, #[Body] WhyRequest $request): WhyView
    {
        return $this->judge->why(
            $this->groupingAccess->grouping($teacher, $id),
            $this->floors->now($id),
            $request->settings,
            $request->student,
        );
    }

    /** Suggests the fewest changes that make the groups work with who is here now. Nothing is changed. */
    #[Route('/groupings/{id}/repair', methods: ['POST'])]
    #[ForAssistants]
    public function repair(#[CurrentUser] Teacher $teacher, string $id): RepairView
    {
        return $this->repairer->repair(
            $this->groupingAccess->grouping($teacher, $id),
            $this->floors->now($id),
            $this->notes->settings($id),
        );
    }

    /** Gives roles to the members of all groups. */
    #[Route('/groupings/{id}/roles', methods: ['POST'])]
    #[ForAssistants]
    public function roles(#[CurrentUser] Teacher $teacher, string $id, #[Body] BasedOn $request): FloorView
    {
        return $this->taking->handOutRoles($this->groupingAccess->grouping($teacher, $id), $request->basedOn);
    }

    /** Saves the groups as they are as a version. */
    #[Route('/groupings/{id}/variants', methods: ['POST'])]
    public function keepVariant(#[CurrentUser] Teacher $teacher, string $id, #[Body] NameGrouping $request): DeskView
    {
        $grouping = $this->groupingAccess->grouping($teacher, $id);
        $this->variants->keep($grouping, $request->name);

        return $this->views->view($grouping);
    }

    /** Deletes a saved version. */
    #[Route('/groupings/{id}/variants/{variant}', methods: ['DELETE'])]
    public function dropVariant(#[CurrentUser] Teacher $teacher, string $id, string $variant): void
    {
        $this->variants->drop($this->groupingAccess->grouping($teacher, $id), $variant);
    }

    /** Brings a saved version back as the groups. */
    #[Route('/groupings/{id}/variants/{variant}/restore', methods: ['POST'])]
    public function restoreVariant(#[CurrentUser] Teacher $teacher, string $id, string $variant): void
    {
        $this->variants->restore($this->groupingAccess->grouping($teacher, $id), $variant);
    }

    /** Lets students choose their group themselves. */
    #[Route('/groupings/{id}/sign-up', methods: ['POST'])]
    public function openSignUp(#[CurrentUser] Teacher $teacher, string $id, #[Body] OpenSignUp $request): DeskView
    {
        $grouping = $this->groupingAccess->grouping($teacher, $id);
        $this->signUps->open($grouping, $request);

        return $this->views->view($grouping);
    }

    /** Closes the sign-up and gives a seat to everyone without one. */
    #[Route('/groupings/{id}/sign-up', methods: ['DELETE'])]
    public function closeSignUp(#[CurrentUser] Teacher $teacher, string $id): DeskView
    {
        $grouping = $this->groupingAccess->grouping($teacher, $id);
        $this->signUpClose->andSeatTheRest($grouping);

        return $this->views->view($grouping);
    }

    /** Makes one change to the groups, such as moving a student. */
    #[Route('/groupings/{id}/edits', methods: ['POST'])]
    #[ForAssistants]
    public function edit(#[CurrentUser] Teacher $teacher, string $id, #[Body] EditFloor $request): FloorView
    {
        return $this->changes->edit($this->groupingAccess->grouping($teacher, $id), $request);
    }

    /** Undoes the last change to the groups. */
    #[Route('/groupings/{id}/undo', methods: ['POST'])]
    #[ForAssistants]
    public function undo(#[CurrentUser] Teacher $teacher, string $id, #[Body] BasedOn $request): FloorView
    {
        return $this->changes->step($this->groupingAccess->grouping($teacher, $id), $request->basedOn, -1);
    }

    /** Redoes the change that was undone last. */
    #[Route('/groupings/{id}/redo', methods: ['POST'])]
    #[ForAssistants]
    public function redo(#[CurrentUser] Teacher $teacher, string $id, #[Body] BasedOn $request): FloorView
    {
        return $this->changes->step($this->groupingAccess->grouping($teacher, $id), $request->basedOn, 1);
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
