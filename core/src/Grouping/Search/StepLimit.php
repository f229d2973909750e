<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Search;

/**
 * Stops after being asked so many times: the same on every machine.
 */
final class StepLimit implements Limit
{
    /**
     * @param int $asks 0 or more
     */
    public function __construct(private int $asks)
    {
    }

    public function isReached(): bool
    {
        return --$this->asks < 0;
    }
}
