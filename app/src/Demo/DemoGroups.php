<?php

declare(strict_types=1);

namespace FreshHuddle\App\Demo;

use FreshHuddle\App\Grouping\Desk\DeskGoal;
use FreshHuddle\App\Grouping\Desk\DeskMethod;
use FreshHuddle\App\Grouping\Desk\DeskNotes;
use FreshHuddle\App\Grouping\Desk\DeskSettings;
use FreshHuddle\App\Grouping\Floor\EditFloor;
use FreshHuddle\App\Grouping\Floor\EditKind;
use FreshHuddle\App\Grouping\Floor\FloorChanges;
use FreshHuddle\App\Grouping\Floor\FloorView;
use FreshHuddle\App\Grouping\Proposal\DealRequest;
use FreshHuddle\App\Grouping\Proposal\ProposalApplier;
use FreshHuddle\App\Grouping\Seat\NumberPlan;
use FreshHuddle\App\Grouping\Seat\Numbers;
use FreshHuddle\App\Grouping\Seat\SeatRole;
use FreshHuddle\App\Grouping\Seat\SeatTask;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Roster\Rule\ClassRules;
use FreshHuddle\Core\Grouping\GoalKind;

/**
 * Makes the groups of a demo lesson, with goals and roles where the class has rules.
 */
final readonly class DemoGroups
{
    public function __construct(
        private ProposalApplier $applier,
        private FloorChanges $changes,
        private DeskNotes $notes,
        private Numbers $numbers,
        private ClassRules $rules,
    ) {
    }

    /**
     * @param list<string> $names
     */
    public function create(Round $round, array $names, int $seed): void
    {
        if ([] === $names) {
            return;
        }
        if ([] !== $this->rules->forClass($round->grouping->class->id)) {
            $this->notes->keepSettings(
                $round->grouping->id,
                new DeskSettings(
                    DeskMethod::Balance,
                    groups: \count($names),
                    goals: [
                        new DeskGoal(GoalKind::EachHas, tag: 'lead'),
                        new DeskGoal(GoalKind::Spread, 'Level'),
                        new DeskGoal(GoalKind::NotAlone, 'Home language'),
                        new DeskGoal(GoalKind::NewPartners),
                    ],
                ),
            );
            $this->numbers->keep(
                $round->grouping,
                new NumberPlan(
                    [new SeatRole(1, 'lead'), new SeatRole(2, 'timekeeper')],
                    [new SeatTask([1, 2], 'Rainfall and heights'), new SeatTask([3, 4, 5], 'Houses and money')],
                ),
            );
        }
        $floor = $this->deal($round, \count($names), $seed);
        foreach ($floor->groups as $i => $group) {
            $floor = $this->changes->edit(
                $round->grouping,
                new EditFloor($floor->step, EditKind::Rename, group: $group->id, name: $names[$i]),
            );
        }
    }

    public function deal(Round $round, int $groups, int $seed): FloorView
    {
        return $this->applier->deal($round->grouping, new DealRequest(0, groups: $groups, seed: $seed));
    }
}
