<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Debrief\Sum;

/**
 * What all groups have done in a slot, taken together.
 */
final readonly class Sum
{
    /**
     * @param list<Tally> $tallies what at least one has done; bars have all their lines
     * @param list<Score> $scores  of everybody who has done something, where it is known what is right; else none
     */
    public function __construct(public SumShape $shape, public array $tallies, public array $scores = [])
    {
    }
}
