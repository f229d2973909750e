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
 * The call back runs out before students have taken note of it.
 */
final readonly class CallBackShort implements Look
{
    /** Whoever is back so soon after its end had seen it. Seconds. */
    private const GRACE = 10;
    /** Fewer than this share back in time is too few. */
    private const ENOUGH = 0.8;
    /** What a call back can be made to last. Seconds. */
    private const LONGEST = 120;

    public function find(PlannedLesson $lesson, PlannedRound $round, array $rehearsed): ?Finding
    {
        $inTime = $round->backSeconds + self::GRACE;
        $late = Middle::among(
            $rehearsed,
            static fn (RehearsedRound $one): int => \count(
                array_filter($one->back, static fn (float $seconds): bool => $seconds > $inTime),
            ),
        );
        $all = Middle::among($rehearsed, static fn (RehearsedRound $one): int => \count($one->back));
        $needed =
            5 *
            (int) ceil(
                Middle::among(
                    $rehearsed,
                    static fn (RehearsedRound $one): float => Middle::of($one->back, self::ENOUGH),
                ) / 5,
            );
        if ($late <= (1 - self::ENOUGH) * $all || $needed <= $round->backSeconds || $needed > self::LONGEST) {
            return null;
        }

        return new Finding(
            'callBackShort',
            Weight::Look,
            new Message('dryrun.call_back_short', [
                'seconds' => $round->backSeconds,
                'late' => (int) $late,
                'all' => (int) $all,
                'needed' => $needed,
            ]),
            Mend::Order,
        );
    }
}
