<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Desk;

use FreshHuddle\App\Grouping\Exception\GroupingRefused;
use FreshHuddle\App\Grouping\Floor\EditFloor;
use FreshHuddle\App\Grouping\Floor\EditKind;
use FreshHuddle\App\Grouping\Floor\FloorChanges;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Grouping\Grouping;
use FreshHuddle\App\Grouping\Proposal\ProposalApplier;
use FreshHuddle\App\Grouping\Proposal\Proposer;
use FreshHuddle\App\Grouping\Proposal\ProposeRequest;
use FreshHuddle\App\Grouping\Proposal\TakeRequest;
use FreshHuddle\App\Grouping\Seat\NumberPlan;
use FreshHuddle\App\Grouping\Seat\Numbers;
use FreshHuddle\App\Roster\SchoolClass;
use FreshHuddle\Core\Grouping\GoalKind;
use FreshHuddle\Core\Grouping\Group;
use FreshHuddle\Core\Visible;

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
        private FloorChanges $changes,
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
        $settings = $this->notes->settings($before->id);
        $tables = \count($this->floors->now($before->id)->groups);
        $isSameClass = $before->class === $class;
        if ($tables > 0 && ($isSameClass || self::isByHand($settings))) {
            $settings = self::withNewPartners($settings, $tables);
        }
        $planned = array_map(
            fn (Grouping $earlier): array => array_map(
                static fn (Group $group): array => $group->students,
                $this->floors->now($earlier->id)->groups,
            ),
            $isSameClass ? [...$others, $before] : [],
        );

        return $this->inThisWay($class, $name, $settings, $this->numbers->forGrouping($before), $tables, $planned);
    }

    /**
     * Groups of a class, made in a way that somebody else has found. What people place by hand is dealt into as many
     * groups as there were.
     *
     * @param list<string> $names of the groups there, in the order of the floor
     */
    public function likeElsewhere(
        SchoolClass $class,
        string $name,
        DeskSettings $settings,
        NumberPlan $numbers,
        array $names,
    ): Grouping {
        $tables = \count($names);
        $grouping = $this->inThisWay(
            $class,
            $name,
            $tables > 0 && self::isByHand($settings) ? self::withNewPartners($settings, $tables) : $settings,
            $numbers,
            $tables,
            [],
        );
        $step = $this->floors->steps($grouping->id)['step'];
        foreach ($this->floors->now($grouping->id)->groups as $i => $group) {
            $name = trim($names[$i] ?? '');
            if (Visible::check($name)) {
                $step = $this->changes->edit(
                    $grouping,
                    new EditFloor($step, EditKind::Rename, group: $group->id, name: $name),
                )->step;
            }
        }

        return $grouping;
    }

    /**
     * @param list<list<list<string>>> $planned groups that are planned already, and count as partners
     */
    private function inThisWay(
        SchoolClass $class,
        string $name,
        DeskSettings $settings,
        NumberPlan $numbers,
        int $tables,
        array $planned,
    ): Grouping {
        $grouping = $this->groupings->create($class, $name);
        $this->numbers->keep($grouping, $numbers);
        $this->notes->keepSettings($grouping->id, $settings);
        if (0 === $tables) {
            return $grouping;
        }
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

    private static function isByHand(DeskSettings $settings): bool
    {
        return \in_array($settings->method, [DeskMethod::Deal, DeskMethod::ByHand, DeskMethod::SignUp], true);
    }

    /**
     * The same goals, and before them all that partners are new.
     */
    private static function withNewPartners(DeskSettings $settings, int $tables): DeskSettings
    {
        $goals = array_values(
            array_filter(
                $settings->goals,
                static fn (DeskGoal $goal): bool => GoalKind::NewPartners !== $goal->kind,
            ),
        );
        $isByGoals = DeskMethod::Balance === $settings->method;

        return new DeskSettings(
            DeskMethod::Balance,
            $isByGoals ? $settings->shape : ShapeKind::Groups,
            $isByGoals ? $settings->groups : $tables,
            $settings->size,
            $settings->remainder,
            $settings->sizes,
            goals: [new DeskGoal(GoalKind::NewPartners), ...$goals],
        );
    }
}
