<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Live\Command;

use FreshHuddle\Core\Lesson\Event;
use FreshHuddle\Core\Lesson\EventKind;
use FreshHuddle\Core\Lesson\RoundState;
use FreshHuddle\Core\Live\Command;
use FreshHuddle\Core\Live\Exception\CommandRefused;
use FreshHuddle\Core\Live\Moving\Moves;

/**
 * Some students to a side room or back to the main session, while the others go on. Their seats stay theirs.
 */
final readonly class TakeAside implements Command
{
    /**
     * @param list<string> $students
     * @param string       $place    `main` or the id of a side room
     * @param int          $seconds  0 to 120 until they are to be there
     *
     * @throws CommandRefused
     */
    public function __construct(
        public array $students,
        public string $place,
        public int $seconds,
        private Moves $moves,
    ) {
        if ($seconds < 0 || $seconds > 120) {
            throw CommandRefused::secondsToComeBack(120);
        }
    }

    public function decide(RoundState $state, int $now): array
    {
        if (!$state->phase($now)->isUnderWay()) {
            throw CommandRefused::nobodyIsOut();
        }
        $events = [];
        foreach ($this->students as $student) {
            if ($this->moves->forStudent($student)?->place !== $this->place) {
                $events[] = new Event(EventKind::TakenAside, $now, [
                    'student' => $student,
                    'place' => $this->place,
                    'from' => $now + 1_000 * $this->seconds,
                ]);
            }
        }

        return $events;
    }
}
