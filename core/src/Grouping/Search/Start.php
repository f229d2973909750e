<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Search;

/**
 * Finds an arrangement that keeps the rules, or shows that there is none: units named by rules are placed one after the
 * other, the most constrained first, with a step back where one does not fit; everybody else fills the seats left over.
 */
final class Start
{
    /** Units times groups from which the order is fixed beforehand instead of looked for at each step. */
    private const MANY = 6_000;

    private readonly int $groups;

    /** @var array<int, int> size => how many groups may be at least so large */
    private array $roomFor = [];

    /** @var array<int, int> size => how many groups are at least so large */
    private array $taken = [];

    /** @var array<int, int> students placed in each group */
    private array $load;

    /** @var array<int, array<int, true>> group => which of `apart` has somebody there */
    private array $apartIn;

    /** @var array<int, true> groups a rule names; all others are alike while they are empty */
    private readonly array $named;

    /** @var array<int, int> unit => group */
    private array $placed = [];

    /** @var array<int, array<int, true>> unit => its sets of `apart` */
    private array $sets = [];

    private int $steps;

    public function __construct(
        private readonly Setting $setting,
        private readonly Musts $musts,
        private readonly Dice $dice,
    ) {
        $this->groups = $setting->groups();
        $this->named = $musts->namedGroups();
        $this->load = array_fill(0, $this->groups, 0);
        $this->apartIn = array_fill(0, $this->groups, []);
        for ($size = 1; $size <= ($setting->sizes[0] ?? 0); ++$size) {
            $this->roomFor[$size] = \count(
                array_filter($setting->sizes, static fn (int $seats): bool => $seats >= $size),
            );
            $this->taken[$size] = 0;
        }
    }

    /**
     * @param int $steps how many placements to try
     *
     * @return list<list<int>>|false|null an arrangement; false: there is none; null: not known after so many steps
     */
    public function find(int $steps = 60_000): array|false|null
    {
        if ($this->musts->impossible || !$this->hasGroupsForAll()) {
            return false;
        }
        $this->steps = $steps;
        $units = $this->ruledUnits();
        $found = $this->place($units, \count($units) * $this->groups > self::MANY);

        return true === $found ? $this->filled() : (null === $found ? null : false);
    }

    /**
     * Whether those who have to be apart can each get a group of their own, as far as the rules about groups go (Hall,
     * 1935): a matching by augmenting paths. It spares the search from trying all ways to put eleven into ten.
     *
     * Complexity: O(sets · size · groups)
     */
    private function hasGroupsForAll(): bool
    {
        foreach ($this->musts->apart as $students) {
            $taken = [];
            foreach ($students as $student) {
                $seen = [];
                if (!$this->finds($this->musts->unitOf[$student], $taken, $seen)) {
                    return false;
                }
            }
        }

        return true;
    }

    /**
     * @param array<int, int>  $taken group => unit
     * @param array<int, true> $seen  groups asked for on this path
     */
    private function finds(int $unit, array &$taken, array &$seen): bool
    {
        for ($group = 0; $group < $this->groups; ++$group) {
            if (isset($seen[$group]) || !$this->musts->admits($unit, $group)) {
                continue;
            }
            $seen[$group] = true;
            if (!isset($taken[$group]) || $this->finds($taken[$group], $taken, $seen)) {
                $taken[$group] = $unit;

                return true;
            }
        }

        return false;
    }

    /**
     * @return array<int, int> units that some rule is about, unit => size
     */
    private function ruledUnits(): array
    {
        $units = [];
        foreach ($this->musts->units as $unit => $students) {
            $sets = [];
            foreach ($students as $student) {
                $sets += $this->musts->apartOf[$student] ?? [];
            }
            $this->sets[$unit] = $sets;
            if (
                \count($students) > 1
                || [] !== $sets
                || isset($this->musts->home[$unit])
                || isset($this->musts->banned[$unit])
            ) {
                $units[$unit] = \count($students);
            }
        }
        $keys = $this->dice->shuffle(array_keys($units));
        usort(
            $keys,
            fn (int $a, int $b): int => [isset($this->musts->home[$b]), $units[$b], \count($this->sets[$b])] <=> [
                isset($this->musts->home[$a]),
                $units[$a],
                \count($this->sets[$a]),
            ],
        );
        $sorted = [];
        foreach ($keys as $unit) {
            $sorted[$unit] = $units[$unit];
        }

        return $sorted;
    }

    /**
     * @param array<int, int> $left unit => size
     *
     * @return bool|null null: out of steps
     */
    private function place(array $left, bool $inOrder): ?bool
    {
        if ([] === $left) {
            return true;
        }
        [$unit, $choices] = $this->mostConstrained($left, $inOrder);
        $size = $left[$unit];
        unset($left[$unit]);
        foreach ($this->dice->shuffle($choices) as $group) {
            if (--$this->steps < 0) {
                return null;
            }
            $this->put($unit, $size, $group, 1);
            $found = $this->place($left, $inOrder);
            if (false !== $found) {
                return $found;
            }
            $this->put($unit, $size, $group, -1);
        }

        return false;
    }

    /**
     * @param array<int, int> $left unit => size
     *
     * @return array{int, list<int>} the unit with the fewest groups open to it, and those
     */
    private function mostConstrained(array $left, bool $inOrder): array
    {
        $best = null;
        foreach ($left as $unit => $size) {
            $choices = $this->choices($unit, $size);
            if (null === $best || \count($choices) < \count($best[1])) {
                $best = [$unit, $choices];
            }
            if ($inOrder || \count($best[1]) <= 1) {
                break;
            }
        }
        \assert(null !== $best, 'There is at least one unit left.');

        return $best;
    }

    /**
     * @return list<int>
     */
    private function choices(int $unit, int $size): array
    {
        $choices = [];
        $emptySeen = false;
        $sets = $this->sets[$unit];
        for ($group = 0; $group < $this->groups; ++$group) {
            if (
                !$this->musts->admits($unit, $group)
                || !$this->hasRoom($group, $size)
                || [] !== array_intersect_key($sets, $this->apartIn[$group])
            ) {
                continue;
            }
            if (0 === $this->load[$group] && !isset($this->named[$group])) {
                if ($emptySeen) {
                    continue; // as good as the empty group before it
                }
                $emptySeen = true;
            }
            $choices[] = $group;
        }

        return $choices;
    }

    /**
     * Whether the groups' loads still fit under the sizes, whichever group gets which: for every size there are never
     * more groups that large than the shape has.
     */
    private function hasRoom(int $group, int $more): bool
    {
        for ($size = $this->load[$group] + 1; $size <= $this->load[$group] + $more; ++$size) {
            if (!isset($this->roomFor[$size]) || $this->taken[$size] >= $this->roomFor[$size]) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param -1|1 $times 1 puts, −1 takes away
     */
    private function put(int $unit, int $size, int $group, int $times): void
    {
        $low = 1 === $times ? $this->load[$group] : $this->load[$group] - $size;
        for ($step = $low + 1; $step <= $low + $size; ++$step) {
            $this->taken[$step] += $times;
        }
        $this->load[$group] += $times * $size;
        if (1 === $times) {
            $this->placed[$unit] = $group;
            $this->apartIn[$group] += $this->sets[$unit];
        } else {
            unset($this->placed[$unit]);
            $this->apartIn[$group] = array_diff_key($this->apartIn[$group], $this->sets[$unit]);
        }
    }

    /**
     * Gives every group its size, the larger to those that need them, and seats everybody else at random.
     *
     * @return list<list<int>>
     */
    private function filled(): array
    {
        $groups = array_fill(0, $this->groups, []);
        $free = [];
        foreach ($this->musts->units as $unit => $students) {
            if (isset($this->placed[$unit])) {
                array_push($groups[$this->placed[$unit]], ...$students);
            } else {
                array_push($free, ...$students);
            }
        }
        $order = $this->dice->shuffle(array_keys($groups));
        usort($order, static fn (int $a, int $b): int => \count($groups[$b]) <=> \count($groups[$a]));
        $free = $this->dice->shuffle($free);
        foreach ($order as $rank => $group) {
            array_push(
                $groups[$group],
                ...array_splice($free, 0, $this->setting->sizes[$rank] - \count($groups[$group])),
            );
        }

        return array_values($groups);
    }
}
