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
 * Everybody back to the main session when the countdown is over.
 */
final readonly class CallBack implements Command
{
    /**
     * @param int $seconds 0 to 120
     *
     * @throws CommandRefused
     */
    public function __construct(public int $seconds)
    {
        if ($seconds < 0 || $seconds > 120) {
            throw CommandRefused::secondsToComeBack(120);
        }
    }

    public function decide(RoundState $state, int $now): array
    {
        return match ($state->phase($now)) {
            Phase::Planned => throw CommandRefused::nobodyIsOut(),
            Phase::Looking, Phase::Out => [
                new Event(EventKind::CalledBack, $now, ['backAt' => $now + 1_000 * $this->seconds]),
            ],
            Phase::ComingBack, Phase::Back => [],
        };
    }
}
