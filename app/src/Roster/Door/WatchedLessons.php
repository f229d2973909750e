<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Door;

/**
 * What the door asks of lessons, which come after it.
 */
interface WatchedLessons
{
    /**
     * Whether staff have the lesson open, now or within the last half hour.
     */
    public function isWatched(string $lessonId): bool;
}
