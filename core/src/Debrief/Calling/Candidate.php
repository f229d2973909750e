<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Debrief\Calling;

/**
 * A student who can be called on now, with what came before.
 */
final readonly class Candidate
{
    /**
     * @param int $lessons in how many lessons of the class they have been present, this one included: 1 or more
     * @param int $called  how often they were called on in these and did not pass
     */
    public function __construct(public string $student, public int $lessons, public int $called)
    {
        if ($lessons < 1 || $called < 0) {
            throw new \InvalidArgumentException('A candidate is present in this lesson at least.');
        }
    }

    /**
     * Below 0 where this one has been called on less often for the lessons they were in; above 0: more often.
     */
    public function compare(self $other): int
    {
        return $this->called * $other->lessons <=> $other->called * $this->lessons;
    }
}
