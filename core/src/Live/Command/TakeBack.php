<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Live\Command;

use FreshHuddle\Core\Lesson\Event;
use FreshHuddle\Core\Lesson\EventKind;
use FreshHuddle\Core\Lesson\Phase;
use FreshHuddle\Core\Lesson\RoundState;
use FreshHuddle\Core\Live\Command;
use FreshHuddle\Core\Live\Exception\CommandRefused;

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
