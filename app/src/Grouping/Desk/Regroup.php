<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Desk;

use FreshHuddle\App\Grouping\Exception\GroupingRefused;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Grouping\Grouping;
use FreshHuddle\App\Grouping\Proposal\ProposalApplier;
use FreshHuddle\App\Grouping\Proposal\Proposer;
use FreshHuddle\App\Grouping\Proposal\ProposeRequest;
use FreshHuddle\App\Grouping\Proposal\TakeRequest;
use FreshHuddle\App\Grouping\Seat\Numbers;
use FreshHuddle\App\Roster\SchoolClass;
use FreshHuddle\Core\Grouping\GoalKind;
use FreshHuddle\Core\Grouping\Group;

/**
 * Groups once more, in the way they were made before, with new partners wherever rules allow.
 */
final readonly class Regroup
{
    /** How long to look, in milliseconds. */
    private const SEARCH = 800;

    public function __construct(
        private Groupings $groupings,
        private ProposalApplier $applier,
        private DeskNotes $notes,
        private Numbers $numbers,
        private FloorStore $floors,
        private Proposer $proposer,
    ) {
    }

    /**
     * A new grouping, made as the other one was. Where people place and no method, or where nothing can be found, its
     * floor is empty: nobody is seated in a way nobody asked for. In the same class partners are to be new: that comes
     * before all other goals, and counts the groups it follows also where nobody has sat in them yet.
     *
     * @param list<Grouping> $others more groups of the class that are planned
     */
    public function likeBefore(Grouping $before, SchoolClass $class, string $name, array $others = []): Grouping
    {
        $grouping = $this->groupings->create($class, $name);
        $settings = $this->notes->settings($before->id);
        $this->numbers->keep($grouping, $this->numbers->forGrouping($before));
        $tables = \count($this->floors->now($before->id)->groups);
        $isSameClass = $before->class === $class;
        if (
            $tables > 0
            && ($isSameClass
                || \in_array($settings->method, [DeskMethod::Deal, DeskMethod::ByHand, DeskMethod::SignUp], true))
        ) {
            $goals = array_values(
                array_filter(
                    $settings->goals,
                    static fn (DeskGoal $goal): bool => GoalKind::NewPartners !== $goal->kind,
                ),
            );
            $isByGoals = DeskMethod::Balance === $settings->method;
            $settings = new DeskSettings(
                DeskMethod::Balance,
                $isByGoals ? $settings->shape : ShapeKind::Groups,
                $isByGoals ? $settings->groups : $tables,
                $settings->size,
                $settings->remainder,
                $settings->sizes,
                goals: [new DeskGoal(GoalKind::NewPartners), ...$goals],
            );
        }
        $this->notes->keepSettings($grouping->id, $settings);
        if (0 === $tables) {
            return $grouping;
        }
        $planned = array_map(
            fn (Grouping $earlier): array => array_map(
                static fn (Group $group): array => $group->students,
                $this->floors->now($earlier->id)->groups,
            ),
            $isSameClass ? [...$others, $before] : [],
        );
        try {
            $proposal = $this->proposer->propose(
                $grouping,
                $this->floors->now($grouping->id),
                new ProposeRequest($settings, forMs: self::SEARCH),
                $planned,
            );
            $last = $proposal->rounds[\count($proposal->rounds) - 1] ?? null;
            if ([] === $proposal->conflicts && null !== $last) {
                $this->applier->apply($grouping, new TakeRequest(0, 'balance', [$last]));
            }
        } catch (GroupingRefused) {
            // the desk says why when it is asked there
        }

        return $grouping;
    }
}
