<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Live\Command;

use FreshHuddle\Core\Lesson\Event;
use FreshHuddle\Core\Lesson\EventKind;
use FreshHuddle\Core\Lesson\RoundState;
use FreshHuddle\Core\Live\Command;
use FreshHuddle\Core\Live\Moving\Help;
use FreshHuddle\Core\Live\Moving\Moves;

/**
 * Students who are not where they should be are called there. In every phase: after a call back, to the main session.
 */
final readonly class Fetch implements Command
{
    /** Two presses within so many milliseconds are one. */
    private const ONE_PRESS = 2_000;

    /**
     * @param array<array-key, Help> $students how, by student
     */
    public function __construct(public array $students, private Moves $moves)
    {
    }

    public function decide(RoundState $state, int $now): array
    {
        $events = [];
        foreach ($this->students as $student => $help) {
            $move = $this->moves->forStudent((string) $student);
            if (null === $move?->fetchedAt || $move->help !== $help || $now - $move->fetchedAt >= self::ONE_PRESS) {
                $events[] = new Event(EventKind::Fetched, $now, [
                    'student' => (string) $student,
                    'help' => $help->value,
                ]);
            }
        }

        return $events;
    }
}
