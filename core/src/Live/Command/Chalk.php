<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Live\Command;

use FreshHuddle\Core\Lesson\Event;
use FreshHuddle\Core\Lesson\EventKind;
use FreshHuddle\Core\Lesson\RoundState;
use FreshHuddle\Core\Live\Command;
use FreshHuddle\Core\Live\Exception\CommandRefused;
use FreshHuddle\Core\Live\Signal\ChalkMark;
use FreshHuddle\Core\Live\Signal\Signals;

/**
 * A chalk mark on a group's table, instead of the one that lay there; or none.
 */
final readonly class Chalk implements Command
{
    public function __construct(public string $group, public ?ChalkMark $mark, private Signals $signals)
    {
    }

    public function decide(RoundState $state, int $now): array
    {
        if (!$state->phase($now)->isUnderWay()) {
            throw CommandRefused::nobodyIsOut();
        }

        return $this->signals->forGroup($this->group)->mark === $this->mark
            ? []
            : [new Event(EventKind::ChalkMarked, $now, ['group' => $this->group, 'mark' => $this->mark?->value])];
    }
}
