<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Proposal\Why;

/**
 * What it would mean to put a student into a group: rules broken, and better or worse for the goals.
 */
final readonly class EffectView
{
    /**
     * @param string       $group  id
     * @param int          $trend  −1: the goals are met less, 0: as well, 1: better
     * @param list<string> $breaks rules that would be broken, in words
     */
    public function __construct(public string $group, public int $trend, public array $breaks)
    {
    }
}
