<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Goal;

use FreshHuddle\Core\Grouping\Search\Arrangement;
use FreshHuddle\Core\Grouping\Search\Tally;

/**
 * How many with the tag are in each group.
 */
final class TagTally implements Tally
{
    /** @var array<int, int> */
    private array $count = [];

    /**
     * @param array<int, true> $tagged
     */
    public function __construct(private readonly array $tagged, private readonly int $atLeast)
    {
    }

    public function load(Arrangement $seating): void
    {
        $this->count = array_map(
            fn (array $members): int => \count(array_intersect_key($this->tagged, array_flip($members))),
            $seating->members,
        );
    }

    public function delta(Arrangement $seating, int $i, int $j): float
    {
        if (isset($this->tagged[$i]) === isset($this->tagged[$j])) {
            return 0.0;
        }
        [$loses, $wins] = isset($this->tagged[$i]) ? [$i, $j] : [$j, $i];

        return ($this->count[$seating->groupOf[$loses]] <= $this->atLeast ? 1.0 : 0.0) -
            ($this->count[$seating->groupOf[$wins]] < $this->atLeast ? 1.0 : 0.0);
    }

    public function swap(Arrangement $seating, int $i, int $j): void
    {
        $more = (isset($this->tagged[$j]) ? 1 : 0) - (isset($this->tagged[$i]) ? 1 : 0);
        $this->count[$seating->groupOf[$i]] += $more;
        $this->count[$seating->groupOf[$j]] -= $more;
    }
}
