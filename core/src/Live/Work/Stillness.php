<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Live\Work;

/**
 * A group is still when nothing of its work has changed for a while, nobody who teaches has been there meanwhile, and
 * it is not done: whoever is done may sit still.
 */
final class Stillness
{
    /** So long nothing changes in a group that is still. Milliseconds. */
    public const AFTER = 150_000;
    /**
     * One that has been still for so long is taken to call: those who are stuck and say nothing wait longest.
     * Milliseconds.
     */
    public const CALLS_AFTER = 300_000;

    /**
     * @param int|null $changedAt when anything of its work changed last; null: never
     * @param int|null $visitedAt when the last visit ended; null: nobody has been there
     * @param int      $outAt     since when groups have been at work
     *
     * @return int since when nothing has stirred. All moments are milliseconds since 1970
     */
    public static function since(?int $changedAt, ?int $visitedAt, int $outAt): int
    {
        return max($changedAt ?? $outAt, $visitedAt ?? $outAt);
    }

    /**
     * @param int $since since when nothing has stirred
     * @param int $now   milliseconds since 1970
     */
    public static function isStill(int $since, bool $isDone, int $now): bool
    {
        return !$isDone && $now - $since >= self::AFTER;
    }

    /**
     * @return int|null since when it is taken to call; null: it is not
     */
    public static function callingSince(int $since, bool $isDone, int $now): ?int
    {
        return !$isDone && $since + self::CALLS_AFTER <= $now ? $since + self::CALLS_AFTER : null;
    }
}
