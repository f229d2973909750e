<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Explain;

/**
 * How far a goal is met by an arrangement, for a bar.
 */
final readonly class Standing
{
    /**
     * @param float  $met      from 0, no better than a deal at random, to 1, as good as can be
     * @param float  $cost     see Goal
     * @param string $obstacle what stands in the way, in words; '' where nothing does
     */
    public function __construct(public float $met, public float $cost, public string $obstacle)
    {
    }
}
