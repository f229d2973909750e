<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Paper;

/**
 * A group of a round, on paper.
 */
final readonly class HandoutGroup
{
    /**
     * @param int            $number from 1
     * @param int            $mark   which colour and sign
     * @param list<WorkLine> $work   what only some groups get, in the order of the plan
     */
    public function __construct(public int $number, public string $name, public int $mark, public array $work)
    {
    }
}
