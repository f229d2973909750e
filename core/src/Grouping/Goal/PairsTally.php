<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Goal;

use FreshHuddle\Core\Grouping\Search\Arrangement;
use FreshHuddle\Core\Grouping\Search\Tally;

/**
 * For alike of values that are not numbers: pairs in a group whose values differ.
 */
final class PairsTally extends ValueCounts implements Tally
{
    /** @var array<int, int> group => how many have a value */
    private array $valued = [];

    public function load(Arrangement $seating): void
    {
        parent::load($seating);
        $this->valued = array_map(static fn (array $pairs): int => (int) array_sum($pairs), $this->here);
    }

    public function delta(Arrangement $seating, int $i, int $j): float
    {
        $x = $this->codes[$i] ?? null;
        $y = $this->codes[$j] ?? null;
        if ($x === $y) {
            return 0.0;
        }
        $a = $seating->groupOf[$i];
        $b = $seating->groupOf[$j];
        // Who leaves first takes their differing pairs along; who comes then meets those who are left.
        $change = 0;
        if (null !== $x) {
            $change -= $this->valued[$a] - $this->here[$a][$x];
            $change += $this->valued[$b] - $this->here[$b][$x] - (null === $y ? 0 : 1);
        }
        if (null !== $y) {
            $change -= $this->valued[$b] - $this->here[$b][$y];
            $change += $this->valued[$a] - $this->here[$a][$y] - (null === $x ? 0 : 1);
        }

        return (float) $change;
    }

    public function swap(Arrangement $seating, int $i, int $j): void
    {
        parent::swap($seating, $i, $j);
        $more = (isset($this->codes[$j]) ? 1 : 0) - (isset($this->codes[$i]) ? 1 : 0);
        $this->valued[$seating->groupOf[$i]] += $more;
        $this->valued[$seating->groupOf[$j]] -= $more;
    }
}
