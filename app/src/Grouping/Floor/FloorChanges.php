<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Floor;

use FreshHuddle\App\Database\Transaction;
use FreshHuddle\App\Grouping\Event\FloorChanged;
use FreshHuddle\App\Grouping\Exception\GroupingRefused;
use FreshHuddle\App\Grouping\Grouping;
use FreshHuddle\App\Grouping\Proposal\ClassParts;
use FreshHuddle\Core\Grouping\Exception\NotOnTheFloor;
use FreshHuddle\Core\Grouping\Floor;
use FreshHuddle\Core\SingleLine;
use Psr\EventDispatcher\EventDispatcherInterface;
use Symfony\Component\Uid\Uuid;

/**
 * Changes the floor of a grouping. Each change is kept, can be undone, and reaches a lesson that is going on.
 */
final readonly class FloorChanges
{
    private const MOST_TABLES = 400;

    public function __construct(
        private FloorStore $floors,
        private ClassParts $parts,
        private EventDispatcherInterface $events,
        private Transaction $transaction,
    ) {
    }

    /**
     * @throws GroupingRefused if it cannot be done, or if the floor has changed meanwhile
     */
    public function edit(Grouping $grouping, EditFloor $edit): FloorView
    {
        $onList = $this->onList($grouping);
        foreach ([$edit->student, $edit->other] as $student) {
            if (null !== $student && !\in_array($student, $onList, true)) {
                throw GroupingRefused::unusable('roster.not_on_list', 'student');
            }
        }

        $new = Uuid::v7()->toRfc4122();

        return $this->change(
            $grouping,
            $edit->basedOn,
            $edit->kind->value,
            static function (Floor $floor) use ($edit, $grouping, $new): Floor {
                try {
                    return self::edited($floor, $edit, $grouping->class->groupNames, $new);
                } catch (NotOnTheFloor $e) {
                    throw GroupingRefused::because($e->says);
                }
            },
            EditKind::Split === $edit->kind && null !== $edit->group ? [$new => $edit->group] : [],
        );
    }

    /**
     * @param -1|1 $by
     *
     * @throws GroupingRefused if the floor has changed meanwhile, or there is nothing to undo or redo
     */
    public function step(Grouping $grouping, int $basedOn, int $by): FloorView
    {
        return $this->view(
            $grouping,
            $this->told($grouping, fn (): array => $this->floors->step($grouping->id, $basedOn, $by)),
        );
    }

    public function view(Grouping $grouping, ?Floor $floor = null): FloorView
    {
        return FloorView::fromFloor(
            $grouping->id,
            $grouping->name,
            $this->floors->steps($grouping->id),
            $floor ?? $this->floors->now($grouping->id),
            $this->onList($grouping),
        );
    }

    /**
     * One change of a floor: kept, to be undone, and told to whoever listens.
     *
     * @param string                 $what   as the step is called
     * @param callable(Floor): Floor $change
     * @param array<string, string>  $split  of which group a new one is a part, by id of the new one
     *
     * @throws GroupingRefused if the floor has changed meanwhile
     */
    public function change(
        Grouping $grouping,
        int $basedOn,
        string $what,
        callable $change,
        array $split = [],
    ): FloorView {
        return $this->view(
            $grouping,
            $this->told(
                $grouping,
                fn (): array => $this->floors->change($grouping->id, $basedOn, $what, $change),
                $split,
            ),
        );
    }

    /**
     * @return list<string> ids of those who can be seated
     */
    public function onList(Grouping $grouping): array
    {
        return ClassParts::ids($this->parts->seatable($grouping));
    }

    /**
     * @param callable(): array{Floor, Floor} $change before and after
     * @param array<string, string>           $split  of which group a new one is a part
     */
    private function told(Grouping $grouping, callable $change, array $split = []): Floor
    {
        return $this->transaction->run(function () use ($grouping, $change, $split): Floor {
            [$before, $after] = $change();
            $this->events->dispatch(new FloorChanged($grouping->id, $before, $after, $split));

            return $after;
        });
    }

    /**
     * @param list<string> $names of new tables
     * @param string       $new   id of a new table
     */
    private static function edited(Floor $floor, EditFloor $edit, array $names, string $new): Floor
    {
        $student = static fn (): string => $edit->student ??
            throw GroupingRefused::unusable('grouping.which_student', 'student');
        $group = static fn (): string => $edit->group ??
            throw GroupingRefused::unusable('grouping.which_group', 'group');

        return match ($edit->kind) {
            EditKind::Seat => $floor->seat($student(), $group()),
            EditKind::Swap => $floor->swap(
                $student(),
                $edit->other ?? throw GroupingRefused::unusable('grouping.with_whom', 'other'),
            ),
            EditKind::Shelve => $floor->shelve($student()),
            EditKind::Fix => $floor->fix($student()),
            EditKind::Free => $floor->free($student()),
            EditKind::Rename => $floor->rename($group(), self::groupName($floor, $group(), $edit->name ?? '')),
            EditKind::AddTable => self::roomFor($floor)->withTable($new, $names),
            EditKind::Split => self::roomFor($floor)->split($group(), $edit->students, $new),
            EditKind::Merge => $floor->merge(
                $group(),
                $edit->into ?? throw GroupingRefused::unusable('grouping.which_group', 'into'),
            ),
            EditKind::RemoveTable => $floor->withoutGroup($group()),
        };
    }

    /**
     * @throws GroupingRefused if no more tables fit
     */
    private static function roomFor(Floor $floor): Floor
    {
        return \count($floor->groups) < self::MOST_TABLES
            ? $floor
            : throw GroupingRefused::unusable('grouping.floor.full', null, ['most' => self::MOST_TABLES]);
    }

    private static function groupName(Floor $floor, string $groupId, string $name): string
    {
        $name = SingleLine::fromText($name);
        if ('' === $name) {
            throw GroupingRefused::unusable('grouping.group_name', 'name');
        }
        foreach ($floor->groups as $group) {
            if ($group->id !== $groupId && mb_strtolower($group->name) === mb_strtolower($name)) {
                throw GroupingRefused::unusable('grouping.group_name_taken', 'name', ['name' => $group->name]);
            }
        }

        return $name;
    }
}
