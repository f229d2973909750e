<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Live\Command;

use FreshHuddle\Core\Lesson\Event;
use FreshHuddle\Core\Lesson\EventKind;
use FreshHuddle\Core\Lesson\RoundState;
use FreshHuddle\Core\Live\Command;
use FreshHuddle\Core\Live\Exception\CommandRefused;
use FreshHuddle\Core\Live\Signal\CallAbout;
use FreshHuddle\Core\Live\Signal\Signals;

/**
 * A group asks for the teacher. One that calls already keeps its place.
 */
final readonly class MakeCall implements Command
{
    public function __construct(
        public string $group,
        public string $student,
        public CallAbout $about,
        private Signals $signals,
    ) {
    }

    public function decide(RoundState $state, int $now): array
    {
        if (!$state->phase($now)->isUnderWay()) {
            throw CommandRefused::nobodyIsOut();
        }

        return null !== $this->signals->forGroup($this->group)->call
            ? []
            : [
                new Event(EventKind::CallMade, $now, [
                    'group' => $this->group,
                    'student' => $this->student,
                    'about' => $this->about->value,
                ]),
            ];
    }
}
