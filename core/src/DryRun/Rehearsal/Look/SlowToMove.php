<?php

declare(strict_types=1);

namespace FreshHuddle\Core\DryRun\Rehearsal\Look;

use FreshHuddle\Core\DryRun\Rehearsal\Look;
use FreshHuddle\Core\DryRun\Rehearsal\Middle;
use FreshHuddle\Core\DryRun\Rehearsal\PlannedLesson;
use FreshHuddle\Core\DryRun\Rehearsal\PlannedRound;
use FreshHuddle\Core\DryRun\Rehearsal\RehearsedRound;
use FreshHuddle\Core\Message;
use FreshHuddle\Core\Ready\Finding;
use FreshHuddle\Core\Ready\Mend;
use FreshHuddle\Core\Ready\Weight;

/**
 * It takes long until everybody is with their group.
 */
final readonly class SlowToMove implements Look
{
    /** Nine of ten should be there by then. Seconds. */
    private const SLOW = 60;

    public function find(PlannedLesson $lesson, PlannedRound $round, array $rehearsed): ?Finding
    {
        $seconds = Middle::among($rehearsed, static fn (RehearsedRound $one): float => Middle::of($one->moved, 0.9));

        return $seconds < self::SLOW
            ? null
            : new Finding(
                'slowToMove',
                Weight::Look,
                new Message('dryrun.slow_to_move', ['seconds' => (int) $seconds]),
                Mend::Rooms,
            );
    }
}
