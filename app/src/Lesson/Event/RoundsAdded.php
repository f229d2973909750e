<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson\Event;

/**
 * Rounds were made together, or added to those of a lesson, inside the transaction that makes them.
 */
final readonly class RoundsAdded
{
    /**
     * @param string       $first  id of the round they follow
     * @param list<string> $rounds ids of the others, in their order
     */
    public function __construct(public string $first, public array $rounds)
    {
    }
}
