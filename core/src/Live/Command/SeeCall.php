<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Live\Command;

use FreshHuddle\Core\Lesson\Event;
use FreshHuddle\Core\Lesson\EventKind;
use FreshHuddle\Core\Lesson\RoundState;
use FreshHuddle\Core\Live\Command;
use FreshHuddle\Core\Live\Signal\Signals;

/**
 * The group that calls is to know that it was seen.
 */
final readonly class SeeCall implements Command
{
    public function __construct(public string $group, private Signals $signals)
    {
    }

    public function decide(RoundState $state, int $now): array
    {
        $call = $this->signals->forGroup($this->group)->call;

        return null === $call || null !== $call->seenAt
            ? []
            : [new Event(EventKind::CallSeen, $now, ['group' => $this->group])];
    }
}
