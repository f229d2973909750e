<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Live\Command;

use FreshHuddle\Core\Lesson\Event;
use FreshHuddle\Core\Lesson\EventKind;
use FreshHuddle\Core\Lesson\RoundState;
use FreshHuddle\Core\Live\Command;
use FreshHuddle\Core\Live\Exception\CommandRefused;
use FreshHuddle\Core\Live\Signal\Signals;

/**
 * Somebody who teaches goes to a group, from wherever they were; its call is answered by that.
 */
final readonly class Visit implements Command
{
    public function __construct(public string $group, public string $visitor, private Signals $signals)
    {
    }

    public function decide(RoundState $state, int $now): array
    {
        if (!$state->phase($now)->isUnderWay()) {
            throw CommandRefused::nobodyIsOut();
        }
        $at = $this->signals->visitedBy($this->visitor);
        if ($at === $this->group) {
            return [];
        }
        $there = $this->signals->forGroup($this->group)->visitor;

        return [
            ...null === $at
                ? []
                : [new Event(EventKind::VisitEnded, $now, ['group' => $at, 'visitor' => $this->visitor])],
            // Two who teach may be with one group; the first goes on being counted as there.
            ...null === $there
                ? [new Event(EventKind::VisitBegun, $now, ['group' => $this->group, 'visitor' => $this->visitor])]
                : [],
        ];
    }
}
