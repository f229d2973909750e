<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Debrief\ShareOut;

/**
 * How long each group has: what is left of the share-out, divided among those still to come by their shares. Who stops
 * early leaves the time to those who come; who runs over takes it from them.
 */
final readonly class Turns
{
    /** Nobody gets less, however late it is. Milliseconds. */
    public const LEAST = 30_000;

    /**
     * @param int       $left   milliseconds left of the segment; below 0: it should be over
     * @param list<int> $shares of the groups still to come, the next first: 1 or more each, 1 as a rule
     *
     * @return list<int> milliseconds for each, whole seconds, in the same order; they add up to what is left, but for
     *                   rounding and for LEAST; O(n)
     */
    public static function divide(int $left, array $shares): array
    {
        $all = max(1, array_sum($shares));

        return array_map(
            static fn (int $share): int => max(self::LEAST, intdiv(max(0, $left) * $share, $all * 1_000) * 1_000),
            $shares,
        );
    }
}
