<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Live\Command;

use FreshHuddle\Core\Lesson\Event;
use FreshHuddle\Core\Lesson\EventKind;
use FreshHuddle\Core\Lesson\RoundState;
use FreshHuddle\Core\Live\Command;
use FreshHuddle\Core\Live\Moving\Moves;

/**
 * Students who were taken aside go back to where they were: to the group they have a seat in by now.
 */
final readonly class PutBack implements Command
{
    /**
     * @param list<string> $students
     */
    public function __construct(public array $students, private Moves $moves)
    {
    }

    public function decide(RoundState $state, int $now): array
    {
        $aside = array_values(
            array_filter(
                $this->students,
                fn (string $student): bool => null !== $this->moves->forStudent($student)?->place,
            ),
        );

        return array_map(
            static fn (string $student): Event => new Event(EventKind::PutBack, $now, ['student' => $student]),
            $aside,
        );
    }
}
