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
 * The worksheet needs more time than the round has.
 */
final readonly class Unfinished implements Look
{
    /** Less than this share of the work done is not done. */
    private const DONE = 0.8;

    public function find(PlannedLesson $lesson, PlannedRound $round, array $rehearsed): ?Finding
    {
        $groups = (int) Middle::among(
            $rehearsed,
            static fn (RehearsedRound $one): int => \count(
                array_filter($one->done, static fn (float $done): bool => $done < self::DONE),
            ),
        );

        return 2 * $groups < \count($round->tables) || self::hasNothing($round)
            ? null
            : new Finding(
                'unfinished',
                Weight::Look,
                new Message('dryrun.unfinished', [
                    'groups' => $groups,
                    'all' => \count($round->tables),
                    'minutes' => $round->minutes,
                ]),
                Mend::Order,
            );
    }

    /** Nothing is to be filled anywhere. */
    private static function hasNothing(PlannedRound $round): bool
    {
        foreach ($round->tables as $table) {
            if ([] !== $table->blanks) {
                return false;
            }
        }

        return true;
    }
}
