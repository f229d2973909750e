<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Live\Command;

use FreshHuddle\Core\Lesson\Event;
use FreshHuddle\Core\Lesson\EventKind;
use FreshHuddle\Core\Lesson\RoundState;
use FreshHuddle\Core\Live\Command;
use FreshHuddle\Core\Live\Signal\Signals;

/**
 * Somebody who teaches comes away from the group they were with.
 */
final readonly class Leave implements Command
{
    public function __construct(public string $visitor, private Signals $signals)
    {
    }

    public function decide(RoundState $state, int $now): array
    {
        $at = $this->signals->visitedBy($this->visitor);

        return null === $at
            ? []
            : [new Event(EventKind::VisitEnded, $now, ['group' => $at, 'visitor' => $this->visitor])];
    }
}
