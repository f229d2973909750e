<?php

declare(strict_types=1);

namespace FreshHuddle\Core\DryRun;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * Numbers drawn by a seed: the same seed draws the same ones on every machine.
 */
final readonly class Draw
{
    private const UNITS = 1 << 53;

    private function __construct(private Randomizer $dice)
    {
    }

    /**
     * @param int|string ...$of what the numbers are for: a seed, a student; each draws numbers of its own
     */
    public static function for(int|string ...$of): self
    {
        return new self(new Randomizer(new Xoshiro256StarStar(hash('sha256', implode('|', $of), true))));
    }

    /**
     * @return float from 0 to below 1
     */
    public function part(): float
    {
        return $this->dice->getInt(0, self::UNITS - 1) / self::UNITS;
    }

    /**
     * @param float $share 0: never, 1: always
     */
    public function chance(float $share): bool
    {
        return $this->part() < $share;
    }

    /**
     * @return int each from $from to $to is as likely as another
     */
    public function between(int $from, int $to): int
    {
        return $this->dice->getInt($from, $to);
    }

    /**
     * How long until something that happens as likely in one moment as in another.
     *
     * @param float $mean above 0
     *
     * @return float exponential, with this mean
     */
    public function waiting(float $mean): float
    {
        return -$mean * log(1 - $this->part());
    }

    /**
     * What people need for a thing: most near the middle, a few much longer. Log-normal; the normal variate by Box and
     * Muller, 1958.
     *
     * @param float $median above 0
     * @param float $spread 0: all the same; 0.5: one in six needs more than 1.6 times as long; 1: 2.7 times
     */
    public function around(float $median, float $spread): float
    {
        $normal = sqrt(-2 * log(1 - $this->part())) * cos(2 * \M_PI * $this->part());

        return $median * exp($spread * $normal);
    }

    /**
     * @template T
     *
     * @param non-empty-list<T> $of
     *
     * @return T
     */
    public function oneOf(array $of): mixed
    {
        return $of[$this->between(0, \count($of) - 1)];
    }
}
