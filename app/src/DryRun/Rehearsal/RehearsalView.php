<?php

declare(strict_types=1);

namespace FreshHuddle\App\DryRun\Rehearsal;

use FreshHuddle\App\Ready\FindingView;

/**
 * What rehearsals of a lesson have found.
 */
final readonly class RehearsalView
{
    /**
     * @param int                      $times    how often it was rehearsed; 0: there is nothing to rehearse
     * @param list<FindingView>        $findings round by round
     * @param list<RehearsedRoundView> $rounds
     */
    public function __construct(public int $times, public array $findings, public array $rounds)
    {
    }
}
