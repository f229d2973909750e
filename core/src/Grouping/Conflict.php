<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping;

use FreshHuddle\Core\Message;

/**
 * Rules that cannot hold together; without any one of them the others of the set can.
 */
final readonly class Conflict
{
    /**
     * @param list<int> $rules   which rules of the problem, from 0
     * @param Message   $message what a teacher can act on
     */
    public function __construct(public array $rules, public Message $message)
    {
    }
}
