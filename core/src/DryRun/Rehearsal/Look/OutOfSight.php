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
 * Many are not where they belong, and it takes long to find them.
 */
final readonly class OutOfSight implements Look
{
    /** Of those who come, that may be. */
    private const FEW = 0.1;

    public function find(PlannedLesson $lesson, PlannedRound $round, array $rehearsed): ?Finding
    {
        $lost = (int) Middle::among($rehearsed, static fn (RehearsedRound $one): int => $one->lost);
        $all = (int) Middle::among($rehearsed, static fn (RehearsedRound $one): int => $one->students);

        return $lost < 2 || $lost <= self::FEW * $all
            ? null
            : new Finding(
                'outOfSight',
                Weight::Look,
                new Message('dryrun.out_of_sight', ['students' => $lost, 'all' => $all]),
                Mend::Rooms,
            );
    }
}
