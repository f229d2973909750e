<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Command;

use FreshHuddle\Core\Live\Moving\Help;
use FreshHuddle\Core\Live\Moving\Moves;
use FreshHuddle\Core\Live\Signal\Signals;

/**
 * How things stand when a command is given. What few commands need is looked up by those.
 */
final readonly class CommandContext
{
    /**
     * @param \Closure(): Signals    $signals
     * @param \Closure(): Moves      $moves
     * @param string                 $who      of the staff gives it
     * @param list<string>           $students whom it is about
     * @param array<array-key, Help> $helps    how those of them are helped who are not where they should be, by student
     */
    public function __construct(
        private \Closure $signals,
        private \Closure $moves,
        public string $who,
        public array $students = [],
        public array $helps = [],
    ) {
    }

    public function signals(): Signals
    {
        return ($this->signals)();
    }

    public function moves(): Moves
    {
        return ($this->moves)();
    }
}
