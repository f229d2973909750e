<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Http\Problem;
use FreshHuddle\App\Live\LiveChange;
use FreshHuddle\App\Roster\ClassViews;
use FreshHuddle\App\Roster\StudentView;
use FreshHuddle\Core\Grouping\Exception\ImpossibleShape;
use FreshHuddle\Core\Grouping\Exception\NotOnTheFloor;
use FreshHuddle\Core\Grouping\Floor;
use FreshHuddle\Core\Grouping\Method\Deal;
use FreshHuddle\Core\Grouping\Placement;
use FreshHuddle\Core\Grouping\Problem as GroupingProblem;
use FreshHuddle\Core\Grouping\Search\NoLimit;
use FreshHuddle\Core\Grouping\Shape\Groups;
use FreshHuddle\Core\Grouping\Shape\Size;
use FreshHuddle\Core\Grouping\Student as GroupingStudent;
use Random\Randomizer;
use Symfony\Component\Uid\Uuid;

/**
 * Changes the floor of a grouping. Each change is kept, can be undone, and reaches a lesson that is going on.
 */
final readonly class GroupingDesk
{
    private const MOST_TABLES = 200;

    public function __construct(
        private Connection $db,
        private FloorStore $floors,
        private ClassViews $classes,
        private LiveChange $liveChange,
    ) {
    }

    /**
     * @throws Problem 422 if these students cannot be divided so; 409 if the floor has changed meanwhile
     */
    public function deal(Grouping $grouping, DealRequest $request): FloorView
    {
        if ((null === $request->groups) === (null === $request->size)) {
            throw new Problem(422, 'Say how many groups, or how many in each: one of the two.', 'groups');
        }
        $present = array_values(array_filter(
            $this->classes->students($grouping->class->id),
            static fn (StudentView $student): bool => !$student->absent,
        ));
        if ([] === $present) {
            throw new Problem(422, 'There is nobody to deal yet. Add students to the class first.', 'groups');
        }
        $ids = array_map(static fn (StudentView $student): string => $student->id, $present);
        $seed = $request->seed ?? (new Randomizer())->getInt(0, 2 ** 31);

        return $this->change($grouping, $request->basedOn, 'deal', static function (Floor $floor) use ($request, $ids, $seed): Floor {
            $shape = null !== $request->groups ? new Groups($request->groups) : new Size($request->size ?? 1, $request->remainder);
            try {
                $placement = Placement::of($floor, $ids, $shape, static fn (): string => Uuid::v7()->toRfc4122());
                $class = array_map(static fn (string $id): GroupingStudent => new GroupingStudent($id), $ids);
                $dealt = (new Deal())->solve(new GroupingProblem($class, $placement->shape(), rules: $placement->fixedSeats(), seed: $seed), new NoLimit());

                return $placement->floor($dealt->rounds[0], true);
            } catch (ImpossibleShape $e) {
                throw new Problem(422, $e->getMessage(), null !== $request->groups ? 'groups' : 'size');
            }
        });
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

        return $this->change($grouping, $edit->basedOn, $edit->kind->value, static function (Floor $floor) use ($edit): Floor {
            try {
                return self::edited($floor, $edit);
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
        [$before, $after] = $this->db->transactional(function () use ($grouping, $basedOn, $by): array {
            $before = $this->floors->lock($grouping->id, $basedOn);
            $this->floors->go($grouping->id, $basedOn, $by);

            return [$before, $this->floors->now($grouping->id)];
        });
        $this->liveChange->ofSeats($grouping->id, $before, $after);

        return $this->view($grouping, $after);
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
        [$before, $after] = $this->db->transactional(function () use ($grouping, $basedOn, $what, $change): array {
            $before = $this->floors->lock($grouping->id, $basedOn);
            $after = $change($before);
            if (!$after->equals($before)) {
                $this->floors->append($grouping->id, $basedOn, $what, $after);
            }

            return [$before, $after];
        });
        $this->liveChange->ofSeats($grouping->id, $before, $after);

        return $this->view($grouping, $after);
    }

    private static function edited(Floor $floor, EditFloor $edit): Floor
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
                ? $floor->withTable(Uuid::v7()->toRfc4122())
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
        return array_map(static fn (StudentView $student): string => $student->id, $this->classes->students($grouping->class->id));
    }
}
