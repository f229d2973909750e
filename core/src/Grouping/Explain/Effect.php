<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Explain;

use FreshHuddle\Core\Message;

/**
 * What it would mean to move a student to a group.
 */
final readonly class Effect
{
    /**
     * @param int           $group  from 0
     * @param float         $change of the weighted cost; below 0 is better
     * @param list<Message> $breaks rules that would be broken
     */
    public function __construct(public int $group, public float $change, public array $breaks)
    {
    }
}
