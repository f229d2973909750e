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
 * Groups are done long before they are called back.
 */
final readonly class DoneEarly implements Look
{
    /** Of the round, after which it is not early any more. */
    private const EARLY = 0.5;

    public function find(PlannedLesson $lesson, PlannedRound $round, array $rehearsed): ?Finding
    {
        $seconds = Middle::among(
            $rehearsed,
            // Who is not done counts as done with the end, or later.
            static fn (RehearsedRound $one): float => Middle::of(
                array_map(static fn (?float $after): float => $after ?? \INF, $one->doneAfter),
                0.75,
            ),
        );

        return [] === $round->tables || $seconds > self::EARLY * 60 * $round->minutes
            ? null
            : new Finding(
                'doneEarly',
                Weight::Look,
                new Message('dryrun.done_early', [
                    'after' => (int) ceil($seconds / 60),
                    'minutes' => $round->minutes,
                ]),
                Mend::Order,
            );
    }
}
