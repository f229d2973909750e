<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Goal;

use FreshHuddle\Core\Grouping\Search\Arrangement;
use FreshHuddle\Core\Grouping\Search\Tally;

/**
 * For numbers that are to be alike: Σ_g (Σz)² / |g| is to be large.
 */
final class ScoresTally implements Tally
{
    /** @var array<int, float> */
    private array $sum = [];

    /** @var array<int, int> how many have a value */
    private array $count = [];

    /**
     * @param array<int, float> $scores standard scores of those who have a value
     */
    public function __construct(private readonly array $scores)
    {
    }

    public function load(Arrangement $seating): void
    {
        foreach ($seating->members as $g => $members) {
            $own = array_intersect_key($this->scores, array_flip($members));
            $this->sum[$g] = (float) array_sum($own);
            $this->count[$g] = \count($own);
        }
    }

    public function delta(Arrangement $seating, int $i, int $j): float
    {
        $a = $seating->groupOf[$i];
        $b = $seating->groupOf[$j];
        $x = $this->scores[$i] ?? null;
        $y = $this->scores[$j] ?? null;
        $sumA = $this->sum[$a];
        $sumB = $this->sum[$b];
        $change = ($y ?? 0.0) - ($x ?? 0.0);
        $countA = $this->count[$a];
        $countB = $this->count[$b];
        $more = (null === $y ? 0 : 1) - (null === $x ? 0 : 1);
        $newA = $countA + $more;
        $newB = $countB - $more;

        return -1.0 *
            ((0 === $newA ? 0.0 : ($sumA + $change) ** 2 / $newA) -
                (0 === $countA ? 0.0 : $sumA ** 2 / $countA) +
                (0 === $newB ? 0.0 : ($sumB - $change) ** 2 / $newB) -
                (0 === $countB ? 0.0 : $sumB ** 2 / $countB));
    }

    public function swap(Arrangement $seating, int $i, int $j): void
    {
        $a = $seating->groupOf[$i];
        $b = $seating->groupOf[$j];
        $change = ($this->scores[$j] ?? 0.0) - ($this->scores[$i] ?? 0.0);
        $more = (isset($this->scores[$j]) ? 1 : 0) - (isset($this->scores[$i]) ? 1 : 0);
        $this->sum[$a] += $change;
        $this->sum[$b] -= $change;
        $this->count[$a] += $more;
        $this->count[$b] -= $more;
    }
}
