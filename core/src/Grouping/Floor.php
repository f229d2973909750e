<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping;

use FreshHuddle\Core\Grouping\Exception\NotOnTheFloor;

/**
 * Who sits where: the groups as tables, and which students stay when the rest is dealt again. Whoever of the class has
 * no seat lies on the shelf; the shelf is not kept, it is what is left (see `shelf`). A student has one seat or none.
 *
 * Every change gives a new floor; n students, g groups: each is O(n + g).
 */
final readonly class Floor
{
    private const LONGEST_NAME = 60;

    /**
     * @param list<Group>  $groups
     * @param list<string> $fixed  ids of seated students who stay
     */
    public function __construct(public array $groups = [], public array $fixed = [])
    {
    }

    /**
     * @param list<string> $students ids of the whole class
     *
     * @return list<string> those without a seat, in the same order
     */
    public function shelf(array $students): array
    {
        return array_values(array_diff($students, $this->seated()));
    }

    /**
     * @return list<string> ids of everybody who has a seat, by group and seat
     */
    public function seated(): array
    {
        return array_merge(...array_map(static fn (Group $group): array => $group->students, $this->groups));
    }

    public function groupOf(string $student): ?Group
    {
        foreach ($this->groups as $group) {
            if ($group->holds($student)) {
                return $group;
            }
        }

        return null;
    }

    /**
     * @throws NotOnTheFloor
     */
    public function group(string $id): Group
    {
        foreach ($this->groups as $group) {
            if ($group->id === $id) {
                return $group;
            }
        }

        throw NotOnTheFloor::group($id);
    }

    /**
     * Gives a student, from the shelf or from another seat, the last seat of a group.
     *
     * @throws NotOnTheFloor if there is no such group
     */
    public function seat(string $student, string $groupId): self
    {
        if ($this->group($groupId)->holds($student)) {
            return $this;
        }

        return new self(
            array_map(
                static fn (Group $group): Group => $group->id === $groupId
                    ? $group->seating([...$group->students, $student])
                    : $group->seating(array_values(array_diff($group->students, [$student]))),
                $this->groups,
            ),
            $this->fixed,
        );
    }

    /**
     * Two students change seats; where one of them has none, the other goes to the shelf.
     *
     * @throws NotOnTheFloor if neither has a seat
     */
    public function swap(string $one, string $other): self
    {
        if (null === $this->groupOf($one) && null === $this->groupOf($other)) {
            throw NotOnTheFloor::student($one);
        }
        $exchange = [$one => $other, $other => $one];
        $groups = array_map(
            static fn (Group $group): Group => $group->seating(
                array_map(static fn (string $student): string => $exchange[$student] ?? $student, $group->students),
            ),
            $this->groups,
        );

        return (new self($groups, $this->fixed))->withoutStaleFixes();
    }

    public function shelve(string $student): self
    {
        return (new self(
            array_map(
                static fn (Group $group): Group => $group->seating(
                    array_values(array_diff($group->students, [$student])),
                ),
                $this->groups,
            ),
            $this->fixed,
        ))->withoutStaleFixes();
    }

    /**
     * @throws NotOnTheFloor if the student has no seat
     */
    public function fix(string $student): self
    {
        if (null === $this->groupOf($student)) {
            throw NotOnTheFloor::student($student);
        }

        return new self($this->groups, array_values(array_unique([...$this->fixed, $student])));
    }

    public function free(string $student): self
    {
        return new self($this->groups, array_values(array_diff($this->fixed, [$student])));
    }

    /**
     * @throws NotOnTheFloor if there is no such group
     */
    public function rename(string $groupId, string $name): self
    {
        $this->group($groupId);

        return new self(
            array_map(
                static fn (Group $group): Group => $group->id === $groupId ? $group->named($name) : $group,
                $this->groups,
            ),
            $this->fixed,
        );
    }

    /**
     * Whether a table is called only by its number.
     */
    public static function isDefaultName(string $name): bool
    {
        return 1 === preg_match('/^Group [1-9][0-9]*$/D', $name);
    }

    /**
     * Puts an empty table on the floor, named and marked as no other is.
     *
     * @param list<string> $own names to take first, in this order
     */
    public function withTable(string $id, array $own = []): self
    {
        $names = array_map(static fn (Group $group): string => $group->name, $this->groups);
        $number = \count($this->groups) + 1;
        while (\in_array('Group '.$number, $names, true)) {
            ++$number;
        }
        $name = array_values(array_diff($own, $names))[0] ?? 'Group '.$number;
        $marks = array_map(static fn (Group $group): int => $group->mark, $this->groups);
        $mark = 0;
        while (\in_array($mark, $marks, true)) {
            ++$mark;
        }

        return new self([...$this->groups, new Group($id, $name, [], $mark)], $this->fixed);
    }

    /**
     * Some of a table go to a new one. Both are called as people would call them: “Quayside a” and “Quayside b”.
     *
     * @param list<string> $students those who go: some of its own, but not all
     *
     * @throws NotOnTheFloor if there is no such group, or one of them does not sit there, or nobody would go or stay
     */
    public function split(string $groupId, array $students, string $newId): self
    {
        $sitting = $this->group($groupId)->students;
        $go = array_values(array_intersect($sitting, $students));
        if ([] === $go || \count($go) === \count($sitting) || \count($go) !== \count($students)) {
            throw NotOnTheFloor::partOf($groupId);
        }
        $name = $this->group($groupId)->name;
        $isPart = 1 === preg_match('/^(.+) [a-z]$/Du', $name, $part);
        $whole = mb_substr($isPart ? $part[1] : $name, 0, self::LONGEST_NAME - 2);
        $taken = array_map(static fn (Group $group): string => $group->name, $this->groups);
        $free = array_values(
            array_diff(array_map(static fn (string $letter): string => "{$whole} {$letter}", range('a', 'z')), $taken),
        );
        $floor = $isPart || \count($free) < 2 ? $this : $this->rename($groupId, array_shift($free));
        $floor = $floor->withTable($newId, \array_slice($free, 0, 1));
        foreach ($go as $student) {
            $floor = $floor->seat($student, $newId);
        }

        return $floor;
    }

    /**
     * Everybody of a table goes to another one, and the table goes.
     *
     * @throws NotOnTheFloor if there is no such group, or both are one
     */
    public function merge(string $groupId, string $intoId): self
    {
        if ($groupId === $intoId) {
            throw NotOnTheFloor::group($intoId);
        }
        $floor = $this;
        foreach ($this->group($groupId)->students as $student) {
            $floor = $floor->seat($student, $intoId);
        }

        return $floor->withoutGroup($groupId);
    }

    /**
     * Takes a table away; whoever sat there lies on the shelf.
     *
     * @throws NotOnTheFloor if there is no such group
     */
    public function withoutGroup(string $groupId): self
    {
        $this->group($groupId);

        return (new self(
            array_values(array_filter($this->groups, static fn (Group $group): bool => $group->id !== $groupId)),
            $this->fixed,
        ))->withoutStaleFixes();
    }

    public function equals(self $other): bool
    {
        if (\count($this->groups) !== \count($other->groups) || $this->fixed !== $other->fixed) {
            return false;
        }
        foreach ($this->groups as $i => $group) {
            if (get_object_vars($group) !== get_object_vars($other->groups[$i])) {
                return false;
            }
        }

        return true;
    }

    private function withoutStaleFixes(): self
    {
        return new self($this->groups, array_values(array_intersect($this->fixed, $this->seated())));
    }
}
