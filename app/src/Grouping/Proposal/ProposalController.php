<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Proposal;

use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Grouping\Desk\DeskNotes;
use FreshHuddle\App\Grouping\Floor\BasedOn;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Grouping\Floor\FloorView;
use FreshHuddle\App\Grouping\GroupingAccess;
use FreshHuddle\App\Grouping\Proposal\Repair\Repairer;
use FreshHuddle\App\Grouping\Proposal\Repair\RepairView;
use FreshHuddle\App\Grouping\Proposal\Why\Judge;
use FreshHuddle\App\Grouping\Proposal\Why\WhyRequest;
use FreshHuddle\App\Grouping\Proposal\Why\WhyView;
use FreshHuddle\App\Http\Body\Body;
use FreshHuddle\App\Roster\Staff\ForAssistants;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/**
 * Proposes groups, explains and mends them, and puts what was proposed in place.
 */
#[Route('/api/staff/groupings/{id}', requirements: ['id' => Requirement::UUID])]
final readonly class ProposalController
{
    /** Twelve rounds of a class of 1,200, by their ids. */
    private const ROUNDS = 786_432;

    public function __construct(
        private ProposalApplier $applier,
        private Proposer $proposer,
        private Judge $judge,
        private Repairer $repairer,
        private FloorStore $floors,
        private DeskNotes $notes,
        private GroupingAccess $groupingAccess,
    ) {
    }

    /** Splits the class into groups at random, evenly or by an attribute. */
    #[Route('/deal', methods: ['POST'])]
    #[ForAssistants]
    public function deal(#[CurrentUser] Teacher $teacher, string $id, #[Body] DealRequest $request): FloorView
    {
        return $this->applier->deal($this->groupingAccess->grouping($teacher, $id), $request);
    }

    /** Previews the groups a method would make. Nothing is changed. */
    #[Route('/propose', methods: ['POST'])]
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
    #[Route('/take', methods: ['POST'])]
    #[ForAssistants]
    public function take(
        #[CurrentUser]
        Teacher $teacher,
        string $id,
        #[Body(self::ROUNDS)]
        TakeRequest $request,
    ): FloorView {
        return $this->applier->apply($this->groupingAccess->grouping($teacher, $id), $request);
    }

    /** Says why a student sits where they sit, and what a move would mean. */
    #[Route('/why', methods: ['POST'])]
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
    #[Route('/repair', methods: ['POST'])]
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
    #[Route('/roles', methods: ['POST'])]
    #[ForAssistants]
    public function roles(#[CurrentUser] Teacher $teacher, string $id, #[Body] BasedOn $request): FloorView
    {
        return $this->applier->handOutRoles($this->groupingAccess->grouping($teacher, $id), $request->basedOn);
    }
}
