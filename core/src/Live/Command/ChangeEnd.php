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
 * A new end for the work that is going on. It is an agreed moment and not “a minute more”, so that two presses of the
 * same request do it once.
 */
final readonly class ChangeEnd implements Command
{
    private const LONGEST = 600 * 60_000;

    /**
     * @param int $endsAt milliseconds since 1970; a moment in the past means now
     */
    public function __construct(public int $endsAt)
    {
    }

    public function decide(RoundState $state, int $now): array
    {
        $phase = $state->phase($now);
        if (Phase::Looking !== $phase && Phase::Out !== $phase) {
            throw Phase::Planned === $phase ? CommandRefused::nobodyIsOut() : CommandRefused::tooLate();
        }
        // While the clock stands still the end is counted by it.
        $earliest = max($state->pausedAt ?? $now, $state->outAt ?? $now);
        if ($this->endsAt > $earliest + self::LONGEST) {
            throw CommandRefused::minutes(600, 0);
        }
        $endsAt = max($earliest, $this->endsAt);

        return $endsAt === $state->endsAt ? [] : [new Event(EventKind::EndChanged, $now, ['endsAt' => $endsAt])];
    }
}
