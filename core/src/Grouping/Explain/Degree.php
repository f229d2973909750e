<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Explain;

/**
 * How far a goal is met on a teacher's own scale: half a bar is half of what she would count.
 */
final readonly class Degree
{
    /**
     * @param float      $value from 0 to 1
     * @param DegreeUnit $unit  what is counted
     * @param int        $met   how many of them
     * @param int        $of    out of how many; 0 where nothing is counted
     */
    private function __construct(
        public float $value,
        public DegreeUnit $unit,
        public int $met = 0,
        public int $of = 0,
    ) {
    }

    /**
     * @param int $of none: there is nothing to be met
     */
    public static function counted(DegreeUnit $unit, int $met, int $of): self
    {
        return new self(0 === $of ? 1.0 : $met / $of, $unit, $met, $of);
    }

    /**
     * Between what costs least and what a deal at random costs on average.
     *
     * @param float $least    a cost nothing can go below
     * @param float $expected of a deal at random
     */
    public static function between(float $cost, float $least, float $expected): self
    {
        $least = min($least, $cost);

        return new self(
            $cost <= $least + 1e-9
                ? 1.0
                : ($expected <= $least + 1e-9
                    ? 0.0
                    : max(0.0, 1.0 - ($cost - $least) / ($expected - $least))),
            DegreeUnit::Share,
        );
    }
}
