<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping;

/**
 * A seated student who changes groups.
 */
final readonly class Move
{
    /**
     * @param int    $from    group number, from 1
     * @param int    $to      group number, from 1
     * @param string $because a sentence
     */
    public function __construct(public string $student, public int $from, public int $to, public string $because)
    {
    }
}
