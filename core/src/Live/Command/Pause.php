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
 * The clock of the work stands still, and nothing happens by itself, until it goes on.
 */
final readonly class Pause implements Command
{
    public function decide(RoundState $state, int $now): array
    {
        return match ($state->phase($now)) {
            Phase::Out => null === $state->pausedAt ? [new Event(EventKind::Paused, $now)] : [],
            Phase::Planned, Phase::Looking => throw CommandRefused::nobodyIsOut(),
            Phase::ComingBack, Phase::Back => throw CommandRefused::tooLate(),
        };
    }
}
