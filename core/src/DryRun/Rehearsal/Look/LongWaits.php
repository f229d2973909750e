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
 * Groups that ask for help wait long for it.
 */
final readonly class LongWaits implements Look
{
    /** One call in ten may wait longer. Seconds. */
    private const LONG = 300;

    public function find(PlannedLesson $lesson, PlannedRound $round, array $rehearsed): ?Finding
    {
        $seconds = Middle::of(
            array_merge(...array_map(static fn (RehearsedRound $one): array => $one->calls, $rehearsed)),
            0.9,
        );

        return $seconds < self::LONG
            ? null
            : new Finding(
                'longWaits',
                Weight::Look,
                new Message('dryrun.long_waits', ['minutes' => (int) round($seconds / 60)]),
                Mend::Roster,
            );
    }
}
