<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Live\Visit;

/**
 * How evenly whoever teaches has been with the groups.
 */
final readonly class Fairness
{
    /**
     * @param float $visited share of the groups somebody has been to, 0 to 1; 1 where there are none
     * @param int   $spread  how much longer the most visited group had than the least visited, in milliseconds
     */
    private function __construct(public float $visited, public int $spread)
    {
    }

    /**
     * @param list<int> $times how long somebody was with each group, in milliseconds; 0 for never. Complexity: O(n)
     */
    public static function fromTimes(array $times): self
    {
        if ([] === $times) {
            return new self(1.0, 0);
        }

        return new self(
            \count(array_filter($times, static fn (int $time): bool => $time > 0)) / \count($times),
            max($times) - min($times),
        );
    }
}
