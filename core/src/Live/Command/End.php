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
 * The lesson is over. Groups that are at work are called back first.
 */
final readonly class End implements Command
{
    /**
     * @param bool $isOver it has been ended already
     */
    public function __construct(public bool $isOver)
    {
    }

    public function decide(RoundState $state, int $now): array
    {
        if ($this->isOver) {
            return [];
        }

        return match ($state->phase($now)) {
            Phase::Planned, Phase::Back => [new Event(EventKind::LessonEnded, $now)],
            Phase::Looking, Phase::Out, Phase::ComingBack => throw CommandRefused::groupsAreOut(),
        };
    }
}
