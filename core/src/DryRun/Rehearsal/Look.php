<?php

declare(strict_types=1);

namespace FreshHuddle\Core\DryRun\Rehearsal;

use FreshHuddle\Core\Ready\Finding;

/**
 * One thing that rehearsals of a round can show.
 */
interface Look
{
    /**
     * @param non-empty-list<RehearsedRound> $rehearsed the same round, each time
     *
     * @return Finding|null null where it is well
     */
    public function find(PlannedLesson $lesson, PlannedRound $round, array $rehearsed): ?Finding;
}
