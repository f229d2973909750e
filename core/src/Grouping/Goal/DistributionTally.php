<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Goal;

use FreshHuddle\Core\Grouping\Search\Arrangement;
use FreshHuddle\Core\Grouping\Search\Tally;

/**
 * For spread: how many of each group count at each level. A swap changes two groups, and at the levels between the two
 * values alone.
 */
final class DistributionTally implements Tally
{
    /** @var array<int, array<int, int>> group => level => members who count at it */
    private array $here = [];

    /** @var array<int, int> group => members with a value */
    private array $members = [];

    private readonly int $levels;

    public function __construct(private readonly Distribution $distribution)
    {
        $this->levels = \count($distribution->weights);
    }

    public function load(Arrangement $seating): void
    {
        foreach ($seating->members as $g => $members) {
            $this->here[$g] = array_fill(0, $this->levels, 0);
            $this->members[$g] = 0;
            foreach ($members as $student) {
                $this->count($g, $this->distribution->ranks[$student] ?? null, 1);
            }
        }
    }

    public function delta(Arrangement $seating, int $i, int $j): float
    {
        $x = $this->distribution->ranks[$i] ?? null;
        $y = $this->distribution->ranks[$j] ?? null;
        if ($x === $y) {
            return 0.0;
        }
        $a = $seating->groupOf[$i];
        $b = $seating->groupOf[$j];

        return null === $x || null === $y
            ? $this->moved($a, $b, $x, $y)
            : $this->changed($a, $x, $y) + $this->changed($b, $y, $x);
    }

    public function swap(Arrangement $seating, int $i, int $j): void
    {
        $x = $this->distribution->ranks[$i] ?? null;
        $y = $this->distribution->ranks[$j] ?? null;
        if ($x === $y) {
            return;
        }
        $a = $seating->groupOf[$i];
        $b = $seating->groupOf[$j];
        $this->count($a, $x, -1);
        $this->count($a, $y, 1);
        $this->count($b, $y, -1);
        $this->count($b, $x, 1);
    }

    /**
     * What a group's cost changes by when one value takes another's place: its number of values stays.
     */
    private function changed(int $g, int $gone, int $come): float
    {
        $members = $this->members[$g];
        $sum = 0.0;
        foreach ($this->between($gone, $come) as [$level, $by]) {
            // (d ± 1)² − d² = ±2d + 1, where d is the distance from the fair share.
            $sum +=
                $this->distribution->weights[$level] *
                ($by * 2 * ($this->here[$g][$level] - $members * $this->distribution->shares[$level]) + 1);
        }

        return $sum / $members;
    }

    /**
     * One of the two has no value: both groups have another number of values, and with it other shares at all levels.
     */
    private function moved(int $a, int $b, ?int $x, ?int $y): float
    {
        $by = (null === $y ? 0 : 1) - (null === $x ? 0 : 1);
        [$hereA, $hereB] = [$this->here[$a], $this->here[$b]];
        foreach ([[$x, -1], [$y, 1]] as [$rank, $more]) {
            foreach ($this->levelsOf($rank) as $level) {
                $hereA[$level] += $more;
                $hereB[$level] -= $more;
            }
        }

        return $this->distribution->costOf($hereA, $this->members[$a] + $by) -
            $this->distribution->costOf($this->here[$a], $this->members[$a]) +
            $this->distribution->costOf($hereB, $this->members[$b] - $by) -
            $this->distribution->costOf($this->here[$b], $this->members[$b]);
    }

    /**
     * @return iterable<array{int, -1|1}> levels at which a group counts one less or one more
     */
    private function between(int $gone, int $come): iterable
    {
        if (!$this->distribution->isNumber) {
            yield [$gone, -1];
            yield [$come, 1];

            return;
        }
        [$from, $to, $by] = $come < $gone ? [$come, $gone, 1] : [$gone, $come, -1];
        for ($level = $from; $level < min($to, $this->levels); ++$level) {
            yield [$level, $by];
        }
    }

    /**
     * @return list<int>
     */
    private function levelsOf(?int $rank): array
    {
        if (null === $rank || $rank >= $this->levels) {
            return [];
        }

        return $this->distribution->isNumber ? range($rank, $this->levels - 1) : [$rank];
    }

    /**
     * @param -1|1 $by
     */
    private function count(int $g, ?int $rank, int $by): void
    {
        if (null === $rank) {
            return;
        }
        $this->members[$g] += $by;
        foreach ($this->levelsOf($rank) as $level) {
            $this->here[$g][$level] += $by;
        }
    }
}
