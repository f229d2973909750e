<?php

declare(strict_types=1);

namespace FreshHuddle\Core;

/**
 * How often pages may send while the server has more to do than it can: they are told a pace, in milliseconds between
 * two sendings. It grows quickly while requests wait for their turn and falls slowly when they no longer do (as
 * congestion control does: Chiu and Jain, 1989), so that a little less is sent than can be done, and nothing queues.
 */
final class Pace
{
    /** Milliseconds between two looks at how long requests have waited. */
    public const LOOK_EVERY = 200;
    /** Milliseconds: what has waited longer for its turn is not done, but sent again at the pace that is told. */
    public const LONGEST_WAIT = 700;
    /** Milliseconds. Nobody sends less often than this. */
    public const SLOWEST = 15_000;

    private const SHORT_WAIT = 20;
    private const WAIT = 60;
    private const LONG_WAIT = 250;
    /** Milliseconds: less is no pace, pages send as they like. */
    private const QUICKEST = 400;

    /**
     * @param int   $pace the pace told so far, 0 to SLOWEST; 0: none
     * @param float $wait milliseconds requests have waited for their turn since the last look, on average
     *
     * @return int the pace to tell from now on, 0 to SLOWEST
     */
    public static function next(int $pace, float $wait): int
    {
        $next = match (true) {
            $wait > self::LONG_WAIT => max(1_000, 1.25 * $pace),
            $wait > self::WAIT => max(500, 1.03 * $pace),
            $wait < self::SHORT_WAIT => 0.99 * $pace,
            default => $pace,
        };

        return $next < self::QUICKEST ? 0 : (int) round(min(self::SLOWEST, $next));
    }
}
