<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Proposal;

use FreshHuddle\Core\Grouping\Search\Limit;

/**
 * Stops a search after so much time by this machine's clock.
 */
final readonly class ClockLimit implements Limit
{
    private int $end;

    /**
     * @param int $milliseconds from now
     */
    public function __construct(int $milliseconds)
    {
        $this->end = hrtime(true) + $milliseconds * 1_000_000;
    }

    public function isReached(): bool
    {
        return hrtime(true) >= $this->end;
    }
}
