<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Search\Rotation;

/**
 * Pairs: one stays, the others go round a circle (Kirkman, 1847). 2k students have 2k − 1 rounds.
 */
final readonly class RoundRobin implements Construction
{
    public function rounds(array $sizes, int $rounds): ?array
    {
        $pairs = \count($sizes);
        if ([2] !== array_values(array_unique($sizes)) || $rounds > 2 * $pairs - 1) {
            return null;
        }
        $round = 2 * $pairs - 1;
        $found = [];
        for ($r = 0; $r < $rounds; ++$r) {
            $groups = [[$r, $round]];
            for ($step = 1; $step < $pairs; ++$step) {
                $groups[] = [($r + $step) % $round, ($r - $step + $round) % $round];
            }
            $found[] = $groups;
        }

        return $found;
    }
}
