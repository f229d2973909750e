<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping;

use FreshHuddle\Core\Message;

/**
 * A seated student who changes groups.
 */
final readonly class Move
{
    /**
     * @param int     $from    group number, from 1
     * @param int     $to      group number, from 1
     * @param Message $because its “number”, where it has one, is a group's, from 1
     */
    public function __construct(public string $student, public int $from, public int $to, public Message $because)
    {
    }
}
