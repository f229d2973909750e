<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Search;

use FreshHuddle\Core\Grouping\Rule;

/**
 * Rules made ready for a search: students who must be together are one unit; a unit may have a home group and groups it
 * must not be in; sets of students of whom no two may meet.
 */
final readonly class Musts
{
    /** @var list<int> which unit a student belongs to */
    public array $unitOf;

    /** @var list<list<int>> the students of each unit */
    public array $units;

    /** @var array<int, int> unit => its group, where a seat rule gives one */
    public array $home;

    /** @var array<int, array<int, true>> unit => groups it must not be in */
    public array $banned;

    /** @var list<list<int>> students of whom no two may share a group */
    public array $apart;

    /** @var array<int, array<int, true>> student => which of `apart` they are in */
    public array $apartOf;

    /** Whether the rules contradict each other whatever the sizes are. */
    public bool $impossible;

    /**
     * @param iterable<Rule> $rules
     */
    public function __construct(Setting $setting, iterable $rules)
    {
        $builder = new MustsBuilder($setting->index);
        foreach ($rules as $rule) {
            $rule->applyTo($builder);
        }
        $unitOf = $units = $numbers = [];
        for ($i = 0; $i < $setting->n; ++$i) {
            $unit = $numbers[$builder->root($i)] ??= \count($numbers);
            $unitOf[] = $unit;
            $units[$unit][] = $i;
        }
        $impossible = false;
        $home = $banned = $apartOf = [];
        foreach ($builder->seats as [$student, $group]) {
            $unit = $unitOf[$student];
            $impossible = $impossible || $group >= $setting->groups() || ($home[$unit] ?? $group) !== $group;
            $home[$unit] = $group;
        }
        foreach ($builder->bans as [$student, $group]) {
            $unit = $unitOf[$student];
            $banned[$unit][$group] = true;
            $impossible = $impossible || ($home[$unit] ?? null) === $group;
        }
        foreach ($builder->apart as $number => $students) {
            $seen = [];
            foreach ($students as $student) {
                $impossible = $impossible || isset($seen[$unitOf[$student]]);
                $seen[$unitOf[$student]] = true;
                $apartOf[$student][$number] = true;
            }
        }
        $this->unitOf = $unitOf;
        $this->units = array_values($units);
        $this->home = $home;
        $this->banned = $banned;
        $this->apart = $builder->apart;
        $this->apartOf = $apartOf;
        $this->impossible = $impossible;
    }

    /**
     * Whether a rule names a group, so that groups are not all alike.
     *
     * @return array<int, true> the groups that are named
     */
    public function namedGroups(): array
    {
        $named = [];
        foreach ($this->home as $group) {
            $named[$group] = true;
        }
        foreach ($this->banned as $groups) {
            $named += $groups;
        }

        return $named;
    }

    /**
     * Whether a unit may be in a group, as far as the rules about groups go.
     */
    public function admits(int $unit, int $group): bool
    {
        return ($this->home[$unit] ?? $group) === $group && !isset($this->banned[$unit][$group]);
    }

    /**
     * Whether an arrangement keeps every rule. Complexity: O(students + students named by rules).
     *
     * @param array<int, int> $groupOf student => group
     */
    public function areKeptBy(array $groupOf): bool
    {
        if ($this->impossible) {
            return false;
        }
        foreach ($this->units as $unit => $students) {
            $group = $groupOf[$students[0]];
            if (!$this->admits($unit, $group)) {
                return false;
            }
            foreach ($students as $student) {
                if ($groupOf[$student] !== $group) {
                    return false;
                }
            }
        }
        foreach ($this->apart as $students) {
            $seen = [];
            foreach ($students as $student) {
                if (isset($seen[$groupOf[$student]])) {
                    return false;
                }
                $seen[$groupOf[$student]] = true;
            }
        }

        return true;
    }
}
