<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Live\Command;

use FreshHuddle\Core\Live\Command;
use FreshHuddle\Core\Live\Event;
use FreshHuddle\Core\Live\EventKind;
use FreshHuddle\Core\Live\Exception\CommandRefused;
use FreshHuddle\Core\Live\Phase;
use FreshHuddle\Core\Live\RoundState;

/**
 * Not yet: takes a sending out back while students are still looking.
 */
final readonly class TakeBack implements Command
{
    public function decide(RoundState $state, int $now): array
    {
        return match ($state->phase($now)) {
            Phase::Planned => [],
            Phase::Looking => [new Event(EventKind::TakenBack, $now)],
            default => throw CommandRefused::alreadyReached(),
        };
    }
}
