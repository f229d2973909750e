<?php

declare(strict_types=1);

namespace FreshHuddle\Core\DryRun\Rehearsal;

/**
 * What is in the middle of many figures.
 */
final class Middle
{
    /**
     * @param array<array-key, int|float> $figures
     * @param float                       $part    0: the least, 0.5: the middle, 1: the most
     *
     * @return float 0 where there are none. Complexity: O(n log n)
     */
    public static function of(array $figures, float $part = 0.5): float
    {
        sort($figures);

        return (float) ($figures[(int) floor($part * (\count($figures) - 1))] ?? 0);
    }

    /**
     * The middle of what each rehearsal says.
     *
     * @param list<RehearsedRound>                  $rehearsed
     * @param callable(RehearsedRound): (int|float) $says
     */
    public static function among(array $rehearsed, callable $says): float
    {
        return self::of(array_map($says, $rehearsed));
    }
}
