<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Goal;

use FreshHuddle\Core\Grouping\Search\Arrangement;
use FreshHuddle\Core\Grouping\Search\Tally;

/**
 * Who is the only one of their value in a group: a count of exactly one.
 */
final class AloneTally extends ValueCounts implements Tally
{
    public function delta(Arrangement $seating, int $i, int $j): float
    {
        $x = $this->codes[$i] ?? null;
        $y = $this->codes[$j] ?? null;
        if ($x === $y) {
            return 0.0;
        }
        $a = $seating->groupOf[$i];
        $b = $seating->groupOf[$j];

        return (float) ((null === $x || $this->counts[$x] < 2
            ? 0
            : self::step($this->here[$a][$x], -1) + self::step($this->here[$b][$x], 1)) +
            (null === $y || $this->counts[$y] < 2
                ? 0
                : self::step($this->here[$a][$y], 1) + self::step($this->here[$b][$y], -1)));
    }

    private static function step(int $now, int $by): int
    {
        return (1 === $now + $by ? 1 : 0) - (1 === $now ? 1 : 0);
    }
}
