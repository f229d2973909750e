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
 * There is no time to be with every group once.
 */
final readonly class Unvisited implements Look
{
    public function find(PlannedLesson $lesson, PlannedRound $round, array $rehearsed): ?Finding
    {
        $groups = (int) Middle::among(
            $rehearsed,
            static fn (RehearsedRound $one): int => \count(
                array_filter($one->visits, static fn (int $visits): bool => 0 === $visits),
            ),
        );

        return 0 === $groups
            ? null
            : new Finding(
                'unvisited',
                Weight::Look,
                new Message('dryrun.unvisited', [
                    'groups' => $groups,
                    'all' => \count($round->tables),
                    'minutes' => $round->minutes,
                    'visitors' => $lesson->visitors,
                ]),
                Mend::Order,
            );
    }
}
