<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Live\Command;

use FreshHuddle\Core\Lesson\Event;
use FreshHuddle\Core\Lesson\EventKind;
use FreshHuddle\Core\Lesson\RoundState;
use FreshHuddle\Core\Live\Command;

/**
 * Not over yet: a lesson that was ended goes on where it was.
 */
final readonly class Reopen implements Command
{
    public function __construct(public bool $isOver)
    {
    }

    public function decide(RoundState $state, int $now): array
    {
        return $this->isOver ? [new Event(EventKind::LessonReopened, $now)] : [];
    }
}
