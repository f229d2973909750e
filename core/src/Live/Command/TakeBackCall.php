<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Live\Command;

use FreshHuddle\Core\Lesson\Event;
use FreshHuddle\Core\Lesson\EventKind;
use FreshHuddle\Core\Lesson\RoundState;
use FreshHuddle\Core\Live\Command;
use FreshHuddle\Core\Live\Signal\Signals;

/**
 * A group needs the teacher no longer.
 */
final readonly class TakeBackCall implements Command
{
    public function __construct(public string $group, public string $student, private Signals $signals)
    {
    }

    public function decide(RoundState $state, int $now): array
    {
        return null === $this->signals->forGroup($this->group)->call
            ? []
            : [new Event(EventKind::CallTakenBack, $now, ['group' => $this->group, 'student' => $this->student])];
    }
}
