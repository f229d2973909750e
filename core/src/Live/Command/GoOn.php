<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Live\Command;

use FreshHuddle\Core\Lesson\Event;
use FreshHuddle\Core\Lesson\EventKind;
use FreshHuddle\Core\Lesson\RoundState;
use FreshHuddle\Core\Live\Command;

/**
 * The clock of the work goes on, with as much time left as when it was stopped.
 */
final readonly class GoOn implements Command
{
    public function decide(RoundState $state, int $now): array
    {
        if (null === $state->pausedAt) {
            return [];
        }
        $left = max(0, ($state->endsAt ?? $state->pausedAt) - $state->pausedAt);

        return [new Event(EventKind::WentOn, $now, ['endsAt' => $now + $left])];
    }
}
