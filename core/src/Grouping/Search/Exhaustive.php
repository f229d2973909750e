<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Search;

/**
 * The best arrangement of one round for small classes, by looking at all: what a group costs depends on who is in it
 * alone, so the best way to seat the rest is remembered for each set of students left (dynamic programming over
 * subsets: Yeh, “A dynamic programming approach to the complete set partitioning problem”, 1986).
 *
 * Complexity: O(3ⁿ) steps and O(2ⁿ) goal evaluations at most.
 */
final class Exhaustive
{
    public const MOST_STUDENTS = 12;

    /** @var array<int, float> set of students => its cost as a group */
    private array $costs = [];

    /** @var array<int, bool> set of students => whether units and `apart` allow it as a group */
    private array $allowed = [];

    /** @var array<string, array{float, int, int}> what is left => least cost, the group to make, its size's place */
    private array $best = [];

    /** @var list<int> units as sets of students */
    private readonly array $unitMasks;

    /** @var list<int> sets of `apart` */
    private readonly array $apartMasks;

    /** @var list<int> groups in the order they are filled: those that rules name first */
    private readonly array $order;

    private readonly int $named;

    /**
     * @param callable(list<int>): float $groupCost
     */
    public function __construct(private readonly Setting $setting, private readonly Musts $musts, private $groupCost)
    {
        $this->unitMasks = array_map(self::mask(...), $musts->units);
        $this->apartMasks = array_map(self::mask(...), $musts->apart);
        $named = array_keys($musts->namedGroups());
        sort($named);
        $named = array_values(array_filter($named, static fn (int $group): bool => $group < $setting->groups()));
        $this->named = \count($named);
        $this->order = [...$named, ...array_values(array_diff(array_keys($setting->sizes), $named))];
    }

    /**
     * @return array{list<list<int>>, float}|null an arrangement and its cost; null where the rules cannot be kept
     */
    public function solve(): ?array
    {
        if ($this->musts->impossible) {
            return null;
        }
        $left = (1 << $this->setting->n) - 1;
        $sizes = $this->setting->sizes;
        $cost = $this->least(0, $left, $sizes);
        if (\INF === $cost) {
            return null;
        }
        $groups = [];
        foreach ($this->order as $at => $group) {
            [, $set, $place] = $this->best[self::key($at, $left, $sizes)];
            $groups[$group] = $this->students($set);
            $left &= ~$set;
            array_splice($sizes, $place, 1);
        }
        ksort($groups);

        return [array_values($groups), $cost];
    }

    /**
     * @param list<int> $sizes those not given to a group yet, larger first
     */
    private function least(int $at, int $left, array $sizes): float
    {
        if (!isset($this->order[$at])) {
            return 0.0;
        }
        $key = self::key($at, $left, $sizes);
        if (isset($this->best[$key])) {
            return $this->best[$key][0];
        }
        $best = [\INF, 0, 0];
        foreach (array_unique($sizes) as $place => $size) {
            $rest = $sizes;
            array_splice($rest, $place, 1);
            foreach ($this->sets($at, $left, $size) as $set) {
                $cost = $this->costs[$set] ??= ($this->groupCost)($this->students($set));
                if ($cost < $best[0]) {
                    $cost += $this->least($at + 1, $left & ~$set, $rest);
                    if ($cost < $best[0]) {
                        $best = [$cost, $set, $place];
                    }
                }
            }
        }
        $this->best[$key] = $best;

        return $best[0];
    }

    /**
     * The sets of a size that may be the group; where no rule names it, the first student left is in it.
     *
     * @return iterable<int>
     */
    private function sets(int $at, int $left, int $size): iterable
    {
        $group = $this->order[$at];
        $must = $at < $this->named ? 0 : $left & -$left;
        $free = $left & ~$must;
        // All subsets of `free`, the largest first.
        for ($set = $free;; $set = ($set - 1) & $free) {
            $whole = $set | $must;
            if (self::count($whole) === $size && $this->isAllowed($whole) && $this->admits($group, $whole, $left)) {
                yield $whole;
            }
            if (0 === $set) {
                return;
            }
        }
    }

    private function isAllowed(int $set): bool
    {
        if (!isset($this->allowed[$set])) {
            $allowed = true;
            foreach ($this->unitMasks as $unit) {
                $allowed = $allowed && (0 === ($set & $unit) || ($set & $unit) === $unit);
            }
            foreach ($this->apartMasks as $apart) {
                $allowed = $allowed && self::count($set & $apart) <= 1;
            }
            $this->allowed[$set] = $allowed;
        }

        return $this->allowed[$set];
    }

    /**
     * Nobody in the group who must not be, nobody left out who has to be in it.
     */
    private function admits(int $group, int $set, int $left): bool
    {
        foreach ($this->musts->home as $unit => $home) {
            $isIn = 0 !== ($set & $this->unitMasks[$unit]);
            if ($isIn ? $home !== $group : $home === $group && 0 !== ($left & $this->unitMasks[$unit])) {
                return false;
            }
        }
        foreach ($this->musts->banned as $unit => $groups) {
            if (isset($groups[$group]) && 0 !== ($set & $this->unitMasks[$unit])) {
                return false;
            }
        }

        return true;
    }

    /**
     * @return list<int>
     */
    private function students(int $set): array
    {
        $students = [];
        for ($i = 0; $i < $this->setting->n; ++$i) {
            if (0 !== ($set & (1 << $i))) {
                $students[] = $i;
            }
        }

        return $students;
    }

    /**
     * @param list<int> $students
     */
    private static function mask(array $students): int
    {
        return array_reduce($students, static fn (int $mask, int $i): int => $mask | (1 << $i), 0);
    }

    private static function count(int $set): int
    {
        $count = 0;
        while (0 !== $set) {
            $set &= $set - 1;
            ++$count;
        }

        return $count;
    }

    /**
     * @param list<int> $sizes
     */
    private static function key(int $at, int $left, array $sizes): string
    {
        return $at.'|'.$left.'|'.implode(',', $sizes);
    }
}
