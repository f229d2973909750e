<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Debrief\Sum;

/**
 * How much of what is known to be right somebody has right.
 */
final readonly class Score
{
    /**
     * @param int $right 0 to `of`
     */
    public function __construct(public string $source, public int $right, public int $of)
    {
    }
}
