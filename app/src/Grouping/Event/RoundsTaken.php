<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Event;

/**
 * Groups of several rounds that hang together were taken up at the desk, inside the transaction that keeps them.
 */
final readonly class RoundsTaken
{
    /**
     * @param list<string> $groupingIds in the order of the rounds
     */
    public function __construct(public array $groupingIds)
    {
    }
}
