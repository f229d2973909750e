<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping;

use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Database\Change;
use FreshHuddle\App\Grouping\Event\FloorChanged;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Http\Problem;
use FreshHuddle\App\Roster\ClassReader;
use FreshHuddle\App\Roster\SchoolClass;
use FreshHuddle\App\Roster\StudentView;
use FreshHuddle\Core\Grouping\Exception\NotOnTheFloor;
use FreshHuddle\Core\Grouping\FairRoles;
use FreshHuddle\Core\Grouping\Floor;
use FreshHuddle\Core\Grouping\Group;
use Psr\Clock\ClockInterface;
use Psr\EventDispatcher\EventDispatcherInterface;
use Symfony\Component\Uid\Uuid;

/**
 * Changes the floor of a grouping. Each change is kept, can be undone, and reaches a lesson that is going on.
 */
final readonly class GroupingDesk
{
    private const MOST_TABLES = 400;

    public function __construct(
        private FloorStore $floors,
        private Arranger $arranger,
        private DeskNotes $notes,
        private GroupingUsage $list,
        private ClassReader $classes,
        private EventDispatcherInterface $events,
        private Change $change,
        private EntityManagerInterface $em,
        private ClockInterface $clock,
    ) {
    }

    /**
     * Deals the class at once: the quick way, without looking at a proposal first. Rules of the class are kept.
     *
     * @throws Problem 422 if these students cannot be divided so; 409 if the floor has changed meanwhile
     */
    public function deal(Grouping $grouping, DealRequest $request): FloorView
    {
        if ((null === $request->groups) === (null === $request->size)) {
            throw new Problem(422, 'Say how many groups, or how many in each: one of the two.', 'groups');
        }
        $field = null !== $request->groups ? 'groups' : 'size';
        $settings = new DeskSettings(
            DeskMethod::Deal,
            null !== $request->groups ? ShapeKind::Groups : ShapeKind::Size,
            $request->groups ?? 1,
            $request->size ?? 1,
            $request->remainder,
        );

        return $this->change($grouping, $request->basedOn, 'deal', function (Floor $floor) use ($grouping, $request, $settings, $field): Floor {
            try {
                $proposal = $this->arranger->propose($grouping, $floor, new ProposeRequest($settings, $request->seed));
            } catch (Problem $e) {
                throw new Problem(422, $e->getMessage(), $field);
            }
            if ([] !== $proposal->conflicts) {
                throw new Problem(422, $proposal->conflicts[0]->message, $field);
            }

            return $this->floorOf($grouping, $floor, $proposal->rounds[0]->groups);
        });
    }

    /**
     * Puts what was proposed on the floor. Of several rounds the last goes on this floor; the others become groupings of
     * their own.
     *
     * @throws Problem 422 if it cannot be; 409 if the floor has changed meanwhile
     */
    public function take(Grouping $grouping, TakeRequest $request): FloorView
    {
        $rounds = $request->rounds;
        $last = array_pop($rounds) ?? throw new Problem(422, 'There is nothing to take.', 'rounds');

        return $this->change($grouping, $request->basedOn, $request->what, function (Floor $floor) use ($grouping, $rounds, $last): Floor {
            foreach ($rounds as $round) {
                $more = $this->create($grouping->class, mb_substr($grouping->name.' · '.$round->name, 0, 80));
                $this->floors->append($more->id, 0, 'take', $this->floorOf($more, new Floor(), $round->groups));
            }

            return $this->floorOf($grouping, $floor, $last->groups);
        });
    }

    public function create(SchoolClass $class, string $name): Grouping
    {
        $grouping = new Grouping(Uuid::v7()->toRfc4122(), $class, $name);
        $this->em->persist($grouping);
        $this->em->flush();
        $this->floors->create($grouping->id);

        return $grouping;
    }

    /**
     * Its name, how the desk is set, what the numbers carry; and what groups of the class are called.
     */
    public function set(Grouping $grouping, SetGrouping $request): void
    {
        $grouping->name = trim($request->name ?? $grouping->name);
        if (null !== $request->groupNames) {
            $grouping->class->groupNames = array_values(array_unique(array_map(trim(...), $request->groupNames)));
        }
        $this->em->flush();
        if (null !== $request->settings) {
            $this->notes->keepSettings($grouping->id, $request->settings);
        }
        if (null !== $request->numbers) {
            $this->notes->keepNumbers($grouping->id, $request->numbers);
        }
    }

    /**
     * @throws Problem 409 while a lesson uses it
     */
    public function remove(Grouping $grouping): void
    {
        $this->em->wrapInTransaction(function () use ($grouping): void {
            $this->em->refresh($grouping, LockMode::PESSIMISTIC_WRITE); // a lesson that takes it up holds it too
            if (null !== $this->list->lessonOf($grouping->id)) {
                throw new Problem(409, 'A lesson uses this grouping. Give the lesson another one first.');
            }
            $grouping->removedAt ??= $this->clock->now();
        });
    }

    public function restore(Grouping $grouping): void
    {
        $grouping->removedAt = null;
        $this->em->flush();
    }

    /**
     * A grouping with the same floor, settings and numbers, to be changed on its own.
     */
    public function copy(Grouping $grouping, string $name): Grouping
    {
        return $this->em->wrapInTransaction(function () use ($grouping, $name): Grouping {
            $copy = $this->create($grouping->class, mb_substr($name, 0, 80));
            $groups = array_map(static fn (Group $group): Group => new Group(Uuid::v7()->toRfc4122(), $group->name, $group->students, $group->mark), $this->floors->now($grouping->id)->groups);
            $this->floors->append($copy->id, 0, 'take', new Floor($groups));
            $this->notes->keepSettings($copy->id, $this->notes->settings($grouping->id));
            $this->notes->keepNumbers($copy->id, $this->notes->numbers($grouping->id));

            return $copy;
        });
    }

    /**
     * Hands the roles out anew at every table: each to the member who has had it least often.
     *
     * @throws Problem 409 if the floor has changed meanwhile
     */
    public function handOutRoles(Grouping $grouping, int $basedOn): FloorView
    {
        return $this->change($grouping, $basedOn, 'roles', fn (Floor $floor): Floor => $this->withRoles($grouping, $floor));
    }

    private function withRoles(Grouping $grouping, Floor $floor): Floor
    {
        $roles = $this->notes->numbers($grouping->id)->roles();
        if ([] === $roles) {
            return $floor;
        }
        $before = array_merge(...array_map(static fn (GroupingUse $use): array => $use->roles, $this->list->uses($grouping->class->id)));

        $marked = [];
        foreach ($this->classes->students($grouping->class->id) as $student) {
            $marked[$student->id] = $student->tags;
        }

        return new Floor(array_map(
            static fn (Group $group): Group => $group->seating(FairRoles::seat($group->students, $roles, $before, $marked)),
            $floor->groups,
        ), $floor->fixed);
    }

    /**
     * @param list<ProposedGroup> $groups
     *
     * @throws Problem 422 if somebody has two seats or is not of the class
     */
    private function floorOf(Grouping $grouping, Floor $floor, array $groups): Floor
    {
        $onList = array_fill_keys($this->onList($grouping), true);
        $tables = $seen = [];
        $marks = array_map(static fn (Group $group): int => $group->mark, $floor->groups);
        foreach ($groups as $group) {
            foreach ($group->students as $student) {
                if (!isset($onList[$student]) || isset($seen[$student])) {
                    throw new Problem(422, isset($seen[$student]) ? 'Somebody has two seats here.' : 'Somebody here is not on the class list.', 'rounds');
                }
                $seen[$student] = true;
            }
            $old = array_values(array_filter($floor->groups, static fn (Group $one): bool => $one->id === $group->id))[0] ?? null;
            $id = null !== $old || !$this->standsElsewhere($grouping, $group->id) ? $group->id : null;
            $mark = $old->mark ?? 0;
            while (null === $old && \in_array($mark, $marks, true)) {
                ++$mark;
            }
            $marks[] = $mark;
            $tables[] = new Group($id ?? Uuid::v7()->toRfc4122(), $this->uniqueName(trim($group->name), $tables), $group->students, $mark);
        }
        $ids = array_map(static fn (Group $table): string => $table->id, $tables);
        if (\count(array_unique($ids)) !== \count($ids)) {
            throw new Problem(422, 'A table stands here twice.', 'rounds');
        }

        return $this->withRoles($grouping, new Floor($tables, array_values(array_intersect($floor->fixed, array_map(strval(...), array_keys($seen))))));
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

    /**
     * @throws Problem 422 if it cannot be done; 409 if the floor has changed meanwhile
     */
    public function edit(Grouping $grouping, EditFloor $edit): FloorView
    {
        $onList = $this->onList($grouping);
        foreach ([$edit->student, $edit->other] as $student) {
            if (null !== $student && !\in_array($student, $onList, true)) {
                throw new Problem(422, 'This student is not on the class list.', 'student');
            }
        }

        return $this->change($grouping, $edit->basedOn, $edit->kind->value, static function (Floor $floor) use ($edit, $grouping): Floor {
            try {
                return self::edited($floor, $edit, $grouping->class->groupNames);
            } catch (NotOnTheFloor $e) {
                throw new Problem(422, $e->getMessage());
            }
        });
    }

    /**
     * @param -1|1 $by
     *
     * @throws Problem 409 if the floor has changed meanwhile, or there is nothing to undo or redo
     */
    public function step(Grouping $grouping, int $basedOn, int $by): FloorView
    {
        return $this->view($grouping, $this->told($grouping, fn (): array => $this->floors->step($grouping->id, $basedOn, $by)));
    }

    public function view(Grouping $grouping, ?Floor $floor = null): FloorView
    {
        return FloorView::of($grouping->id, $grouping->name, $this->floors->steps($grouping->id), $floor ?? $this->floors->now($grouping->id), $this->onList($grouping));
    }

    /**
     * @param callable(Floor): Floor $change
     */
    private function change(Grouping $grouping, int $basedOn, string $what, callable $change): FloorView
    {
        return $this->view($grouping, $this->told($grouping, fn (): array => $this->floors->change($grouping->id, $basedOn, $what, $change)));
    }

    /**
     * @param callable(): array{Floor, Floor} $change before and after
     */
    private function told(Grouping $grouping, callable $change): Floor
    {
        return $this->change->of(function () use ($grouping, $change): Floor {
            [$before, $after] = $change();
            $this->events->dispatch(new FloorChanged($grouping->id, $before, $after));

            return $after;
        });
    }

    /**
     * @param list<string> $names of new tables
     */
    private static function edited(Floor $floor, EditFloor $edit, array $names): Floor
    {
        $student = static fn (): string => $edit->student ?? throw new Problem(422, 'Which student?', 'student');
        $group = static fn (): string => $edit->group ?? throw new Problem(422, 'Which group?', 'group');

        return match ($edit->kind) {
            EditKind::Seat => $floor->seat($student(), $group()),
            EditKind::Swap => $floor->swap($student(), $edit->other ?? throw new Problem(422, 'With whom?', 'other')),
            EditKind::Shelve => $floor->shelve($student()),
            EditKind::Fix => $floor->fix($student()),
            EditKind::Free => $floor->free($student()),
            EditKind::Rename => $floor->rename($group(), self::groupName($floor, $group(), $edit->name ?? '')),
            EditKind::AddTable => \count($floor->groups) < self::MOST_TABLES
                ? $floor->withTable(Uuid::v7()->toRfc4122(), $names)
                : throw new Problem(422, \sprintf('The floor holds %d tables.', self::MOST_TABLES)),
            EditKind::RemoveTable => $floor->withoutGroup($group()),
        };
    }

    private static function groupName(Floor $floor, string $groupId, string $name): string
    {
        $name = trim((string) preg_replace('/\s+/u', ' ', $name));
        if ('' === $name) {
            throw new Problem(422, 'A group needs a name.', 'name');
        }
        foreach ($floor->groups as $group) {
            if ($group->id !== $groupId && mb_strtolower($group->name) === mb_strtolower($name)) {
                throw new Problem(422, \sprintf('Another group is called “%s”.', $group->name), 'name');
            }
        }

        return $name;
    }

    /**
     * @return list<string>
     */
    private function onList(Grouping $grouping): array
    {
        $students = array_filter($this->classes->students($grouping->class->id), static fn (StudentView $student): bool => $student->seatable);

        return array_values(array_map(static fn (StudentView $student): string => $student->id, $students));
    }
}
