<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Live;

use FreshHuddle\Core\Lesson\Event;
use FreshHuddle\Core\Lesson\RoundState;
use FreshHuddle\Core\Live\Exception\CommandRefused;

/**
 * Something the teacher asks of a lesson.
 */
interface Command
{
    /**
     * What happens because of it.
     *
     * @param int $now milliseconds since 1970
     *
     * @return list<Event> none where it is so already: every command is safe to give twice
     *
     * @throws CommandRefused with a sentence for the teacher
     */
    public function decide(RoundState $state, int $now): array;
}
