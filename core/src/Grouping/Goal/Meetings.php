<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Goal;

/**
 * Who has met whom, in the history and in the rounds as they stand; the rounds' tallies share it.
 */
final class Meetings
{
    /**
     * @param array<int, array<int, float>> $met sparse and symmetric
     */
    public function __construct(public array $met)
    {
    }

    public function count(int $i, int $j, float $times): void
    {
        $this->met[$i][$j] = ($this->met[$i][$j] ?? 0.0) + $times;
        $this->met[$j][$i] = ($this->met[$j][$i] ?? 0.0) + $times;
    }
}
