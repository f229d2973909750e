<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Search;

/**
 * One round while it is being improved: who sits where, what the goals count, and which swaps the rules allow.
 */
final class Board
{
    public Arrangement $seating;

    /** @var array<int, array<int, int>> set of `apart` => group => how many of it are there */
    private array $apartIn = [];

    /** @var array<int, int> student => size of their unit, where it is not 1 */
    private readonly array $blocks;

    /** @var array<int, true> students some rule is about */
    private readonly array $ruled;

    /**
     * @param list<list<int>>           $groups
     * @param list<array{float, Tally}> $tallies with their weights
     */
    public function __construct(array $groups, private readonly Musts $musts, private readonly array $tallies)
    {
        $blocks = [];
        foreach ($musts->units as $students) {
            if (\count($students) > 1) {
                $blocks += array_fill_keys($students, \count($students));
            }
        }
        $this->blocks = $blocks;
        $ruled = array_fill_keys(array_keys($musts->apartOf), true);
        foreach ([...array_keys($musts->home), ...array_keys($musts->banned)] as $unit) {
            $ruled += array_fill_keys($musts->units[$unit], true);
        }
        $this->ruled = $ruled;
        $this->load($groups);
    }

    /**
     * @param list<list<int>> $groups
     */
    public function load(array $groups): void
    {
        $this->seating = new Arrangement($groups, \count($this->musts->unitOf));
        foreach ($this->tallies as [, $tally]) {
            $tally->load($this->seating);
        }
        foreach ($this->musts->apart as $set => $students) {
            $this->apartIn[$set] = array_fill(0, \count($groups), 0);
            foreach ($students as $student) {
                ++$this->apartIn[$set][$this->seating->groupOf[$student]];
            }
        }
    }

    /**
     * Whether two may change places: they sit in different groups, belong to no unit of several, and sizes and rules
     * stay kept. Complexity: O(rules they are in).
     */
    public function allows(int $i, int $j): bool
    {
        $seating = $this->seating;
        $a = $seating->groupOf[$i];
        $b = $seating->groupOf[$j];
        if ($a === $b || isset($this->blocks[$i]) || isset($this->blocks[$j])) {
            return false;
        }
        if (($i >= $seating->students || $j >= $seating->students) && !$seating->keepsSizes($i, $j)) {
            return false;
        }

        return (!isset($this->ruled[$i]) || ($this->admits($i, $b) && $this->staysApart($i, $j, $b)))
            && (!isset($this->ruled[$j]) || ($this->admits($j, $a) && $this->staysApart($j, $i, $a)));
    }

    public function isInBlock(int $student): bool
    {
        return isset($this->blocks[$student]);
    }

    /**
     * @return float what the weighted cost would change by
     */
    public function delta(int $i, int $j): float
    {
        $delta = 0.0;
        foreach ($this->tallies as [$weight, $tally]) {
            $delta += $weight * $tally->delta($this->seating, $i, $j);
        }

        return $delta;
    }

    public function swap(int $i, int $j): void
    {
        foreach ($this->tallies as [, $tally]) {
            $tally->swap($this->seating, $i, $j);
        }
        $a = $this->seating->groupOf[$i];
        $b = $this->seating->groupOf[$j];
        foreach ($this->musts->apartOf[$i] ?? [] as $set => $_) {
            --$this->apartIn[$set][$a];
            ++$this->apartIn[$set][$b];
        }
        foreach ($this->musts->apartOf[$j] ?? [] as $set => $_) {
            ++$this->apartIn[$set][$a];
            --$this->apartIn[$set][$b];
        }
        $this->seating->swap($i, $j);
    }

    /**
     * A way to exchange the unit of a student against as many others of a group.
     *
     * @return list<array{int, int}>|null swaps to be done one after the other; null where it does not come out
     */
    public function exchange(int $student, int $group, Dice $dice): ?array
    {
        $n = $this->seating->students;
        $own = $this->musts->units[$this->musts->unitOf[$student]];
        $from = $this->seating->groupOf[$student];
        $others = [];
        foreach ($dice->shuffle(array_values($this->seating->members[$group])) as $other) {
            $unit = $other < $n ? $this->musts->units[$this->musts->unitOf[$other]] : [$other];
            if (
                !\in_array($other, $others, true)
                && \count($others) + \count($unit) <= \count($own)
                && $this->admits($other, $from)
            ) {
                array_push($others, ...$unit);
            }
        }
        if (
            \count($others) < \count($own)
            || !$this->admits($student, $group)
            || !$this->exchangeKeepsApart($own, $others, $from, $group)
        ) {
            return null;
        }
        $vacant = \count(array_filter($others, static fn (int $other): bool => $other >= $n));
        if ($vacant > 0 && $this->seating->size[$from] - $vacant !== $this->seating->size[$group]) {
            return null;
        }

        return array_map(static fn (int $i, int $j): array => [$i, $j], $own, $others);
    }

    private function admits(int $student, int $group): bool
    {
        return $student >= $this->seating->students || $this->musts->admits($this->musts->unitOf[$student], $group);
    }

    /**
     * Whether nobody a student has to be apart from would be in a group once somebody else has left it.
     */
    private function staysApart(int $student, int $leaves, int $group): bool
    {
        foreach ($this->musts->apartOf[$student] ?? [] as $set => $_) {
            if ($this->apartIn[$set][$group] > (isset($this->musts->apartOf[$leaves][$set]) ? 1 : 0)) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param list<int> $own
     * @param list<int> $others
     */
    private function exchangeKeepsApart(array $own, array $others, int $from, int $to): bool
    {
        $more = [];
        foreach ([[$own, 1], [$others, -1]] as [$students, $times]) {
            foreach ($students as $student) {
                foreach ($this->musts->apartOf[$student] ?? [] as $set => $_) {
                    $more[$set] = ($more[$set] ?? 0) + $times;
                }
            }
        }
        foreach ($more as $set => $change) {
            if ($this->apartIn[$set][$to] + $change > 1 || $this->apartIn[$set][$from] - $change > 1) {
                return false;
            }
        }

        return true;
    }
}
