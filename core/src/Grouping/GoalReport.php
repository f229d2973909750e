<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping;

/**
 * How far a goal is met.
 */
final readonly class GoalReport
{
    /**
     * @param int   $goal       which goal of the problem, from 0
     * @param float $cost       over all rounds, without its weight; 0 is perfect
     * @param float $lowerBound no arrangement that keeps the rules costs less
     */
    public function __construct(public int $goal, public float $cost, public float $lowerBound)
    {
    }
}
