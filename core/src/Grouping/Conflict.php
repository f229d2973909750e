<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping;

/**
 * Rules that cannot hold together; without any one of them the others of the set can.
 */
final readonly class Conflict
{
    /**
     * @param list<int> $rules   which rules of the problem, from 0
     * @param string    $message a sentence a teacher can act on
     */
    public function __construct(public array $rules, public string $message)
    {
    }
}
