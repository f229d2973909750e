<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Proposal;

use FreshHuddle\App\Grouping\Desk\DeskGoal;
use FreshHuddle\App\Grouping\Desk\DeskMethod;
use FreshHuddle\App\Grouping\Desk\DeskNotes;
use FreshHuddle\App\Grouping\Desk\DeskSettings;
use FreshHuddle\App\Grouping\Desk\Groupings;
use FreshHuddle\App\Grouping\Desk\ShapeKind;
use FreshHuddle\App\Grouping\Event\RoundsTaken;
use FreshHuddle\App\Grouping\Exception\GroupingRefused;
use FreshHuddle\App\Grouping\Floor\FloorChanges;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Grouping\Floor\FloorView;
use FreshHuddle\App\Grouping\Grouping;
use FreshHuddle\App\Grouping\History\GroupingUsage;
use FreshHuddle\App\Grouping\History\GroupingUse;
use FreshHuddle\App\Grouping\Proposal\Several\ProposedGroup;
use FreshHuddle\App\Grouping\Proposal\Several\ProposedRound;
use FreshHuddle\App\Grouping\Seat\Numbers;
use FreshHuddle\App\Roster\ClassReader;
use FreshHuddle\Core\Grouping\FairRoles;
use FreshHuddle\Core\Grouping\Floor;
use FreshHuddle\Core\Grouping\GoalKind;
use FreshHuddle\Core\Grouping\Group;
use Psr\EventDispatcher\EventDispatcherInterface;
use Symfony\Component\Uid\Uuid;

/**
 * Puts on the floor what was dealt or proposed, with the roles handed out anew.
 */
final readonly class ProposalApplier
{
    /** How long to look for groups that are mixed, in milliseconds. */
    private const MIX_MS = 400;

    public function __construct(
        private FloorChanges $changes,
        private DeskNotes $notes,
        private FloorStore $floors,
        private Groupings $groupings,
        private Proposer $proposer,
        private Numbers $numbers,
        private GroupingUsage $usage,
        private ClassReader $classes,
        private EventDispatcherInterface $events,
    ) {
    }

    /**
     * Deals the class at once: the quick way, without looking at a proposal first. Rules of the class are kept.
     *
     * @throws GroupingRefused if these students cannot be divided so, or if the floor has changed meanwhile
     */
    public function deal(Grouping $grouping, DealRequest $request): FloorView
    {
        if ((null === $request->groups) === (null === $request->size)) {
            throw GroupingRefused::unusable('grouping.groups_or_size', 'groups');
        }
        $field = null !== $request->groups ? 'groups' : 'size';
        $settings = new DeskSettings(
            null === $request->mix ? DeskMethod::Deal : DeskMethod::Balance,
            null !== $request->groups ? ShapeKind::Groups : ShapeKind::Size,
            $request->groups ?? 1,
            $request->size ?? 1,
            $request->remainder,
            goals: null === $request->mix ? [] : [new DeskGoal(GoalKind::Spread, $request->mix)],
        );
        // The next groups are made in the same way; several goals, set at the desk, stay there all the same.
        $goals = $this->notes->settings($grouping->id)->goals;
        if ([] === $goals || (1 === \count($goals) && GoalKind::Spread === $goals[0]->kind)) {
            $this->notes->keepSettings($grouping->id, $settings);
        }

        return $this->changes->change(
            $grouping,
            $request->basedOn,
            null === $request->mix ? 'deal' : 'balance',
            function (Floor $floor) use ($grouping, $request, $settings, $field): Floor {
                try {
                    $proposal = $this->proposer->propose(
                        $grouping,
                        $floor,
                        new ProposeRequest($settings, $request->seed, forMs: self::MIX_MS),
                    );
                } catch (GroupingRefused $e) {
                    throw GroupingRefused::because($e->says, $field);
                }
                if ([] !== $proposal->conflicts) {
                    throw GroupingRefused::unusable(
                        'grouping.contradiction',
                        $field,
                        ['why' => $proposal->conflicts[0]->message],
                    );
                }

                return $this->floorOf($grouping, $floor, $proposal->rounds[0]->groups);
            },
        );
    }

    /**
     * Puts what was proposed on the floor. Of several rounds the last goes on this floor; the others become groupings
     * of their own that stand before it, in their order.
     *
     * @throws GroupingRefused if it cannot be, or if the floor has changed meanwhile
     */
    public function apply(Grouping $grouping, TakeRequest $request): FloorView
    {
        $rounds = $request->rounds;
        $last = array_pop($rounds) ?? throw GroupingRefused::unusable('grouping.nothing_to_take', 'rounds');

        return $this->changes->change($grouping, $request->basedOn, $request->what, function (Floor $floor) use (
            $grouping,
            $rounds,
            $last,
        ): Floor {
            if ([] === $rounds) {
                return $this->floorOf($grouping, $floor, $last->groups);
            }
            $several = $this->groupings->inSeries(
                $grouping,
                array_map(static fn (ProposedRound $round): string => $round->name, $rounds),
            );
            foreach ($rounds as $i => $round) {
                $next = $several[$i];
                $this->floors->append(
                    $next->id,
                    $this->floors->steps($next->id)['step'],
                    'take',
                    $this->floorOf($next, $this->floors->now($next->id), $round->groups),
                );
            }
            $this->events->dispatch(
                new RoundsTaken(array_map(static fn (Grouping $taken): string => $taken->id, $several)),
            );

            return $this->floorOf($grouping, $floor, $last->groups);
        });
    }

    /**
     * Hands the roles out anew at every table: each to the member who has had it least often.
     *
     * @throws GroupingRefused if the floor has changed meanwhile
     */
    public function handOutRoles(Grouping $grouping, int $basedOn): FloorView
    {
        return $this->changes->change(
            $grouping,
            $basedOn,
            'roles',
            fn (Floor $floor): Floor => $this->withRoles($grouping, $floor),
        );
    }

    private function withRoles(Grouping $grouping, Floor $floor): Floor
    {
        $roles = $this->numbers->forGrouping($grouping)->roles();
        if ([] === $roles) {
            return $floor;
        }
        $before = array_merge(
            ...array_map(static fn (GroupingUse $use): array => $use->roles, $this->usage->uses($grouping->class->id)),
        );

        $marked = [];
        foreach ($this->classes->students($grouping->class->id) as $student) {
            $marked[$student->id] = $student->tags;
        }

        return new Floor(
            array_map(
                static fn (Group $group): Group => $group->seating(
                    FairRoles::seat($group->students, $roles, $before, $marked),
                ),
                $floor->groups,
            ),
            $floor->fixed,
        );
    }

    /**
     * @param list<ProposedGroup> $groups
     *
     * @throws GroupingRefused if somebody has two seats or is not of the class
     */
    private function floorOf(Grouping $grouping, Floor $floor, array $groups): Floor
    {
        $onList = array_fill_keys($this->changes->onList($grouping), true);
        $tables = $seen = [];
        $marks = array_map(static fn (Group $group): int => $group->mark, $floor->groups);
        foreach ($groups as $group) {
            foreach ($group->students as $student) {
                if (!isset($onList[$student]) || isset($seen[$student])) {
                    throw GroupingRefused::unusable(
                        isset($seen[$student]) ? 'grouping.two_seats' : 'grouping.stranger',
                        'rounds',
                    );
                }
                $seen[$student] = true;
            }
            $old =
                array_values(
                    array_filter($floor->groups, static fn (Group $candidate): bool => $candidate->id === $group->id),
                )[0] ?? null;
            $id = null !== $old || !$this->standsElsewhere($grouping, $group->id) ? $group->id : null;
            $mark = $old->mark ?? 0;
            while (null === $old && \in_array($mark, $marks, true)) {
                ++$mark;
            }
            $marks[] = $mark;
            $tables[] = new Group(
                $id ?? Uuid::v7()->toRfc4122(),
                $this->uniqueName(trim($group->name), $tables),
                $group->students,
                $mark,
            );
        }
        $ids = array_map(static fn (Group $table): string => $table->id, $tables);
        if (\count(array_unique($ids)) !== \count($ids)) {
            throw GroupingRefused::unusable('grouping.table_twice', 'rounds');
        }

        return $this->withRoles(
            $grouping,
            new Floor(
                $tables,
                array_values(array_intersect($floor->fixed, array_map(strval(...), array_keys($seen)))),
            ),
        );
    }

    /**
     * A table that was taken away may come back with its room and its copy; a table of another grouping may not come.
     */
    private function standsElsewhere(Grouping $grouping, ?string $table): bool
    {
        return null !== $table && $this->floors->standsElsewhere($grouping->id, $table);
    }

    /**
     * @param list<Group> $others
     */
    private function uniqueName(string $name, array $others): string
    {
        $taken = array_map(static fn (Group $group): string => mb_strtolower($group->name), $others);
        $unique = $name;
        for ($number = 2; \in_array(mb_strtolower($unique), $taken, true); ++$number) {
            $unique = $name.' '.$number;
        }

        return $unique;
    }
}
