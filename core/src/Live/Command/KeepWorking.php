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
 * Calls a call back off while it runs down. Where the end has passed, there is a minute more; the teacher ends it.
 */
final readonly class KeepWorking implements Command
{
    /**
     * @param bool $asBefore the round goes on as if nobody had called: with its end, and calling back by itself where
     *                       it did
     */
    public function __construct(public bool $asBefore = false)
    {
    }

    public function decide(RoundState $state, int $now): array
    {
        return match ($state->phase($now)) {
            Phase::Planned => throw CommandRefused::nobodyIsOut(),
            Phase::Looking, Phase::Out => [],
            Phase::ComingBack => [
                new Event(
                    EventKind::KeptWorking,
                    $now,
                    $this->asBefore && ($state->endsAt ?? 0) > $now
                        ? ['endsAt' => $state->endsAt, 'autoSeconds' => $state->autoSeconds]
                        : ['endsAt' => max($state->endsAt ?? 0, $now + 60_000)],
                ),
            ],
            Phase::Back => throw CommandRefused::tooLate(),
        };
    }
}
