<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Search;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * Chance from a seed, drawn in handfuls: a search throws it millions of times.
 */
final class Dice
{
    private const HANDFUL = 2_048;

    private readonly Randomizer $randomizer;

    /** @var array<int, int> */
    private array $numbers = [];
    private int $next = self::HANDFUL;

    public function __construct(int $seed)
    {
        $this->randomizer = new Randomizer(new Xoshiro256StarStar($seed));
    }

    /**
     * @param int $below 1 or more
     *
     * @return int from 0 to $below − 1; the odds differ by less than $below / 2³²
     */
    public function below(int $below): int
    {
        return ($this->draw() * $below) >> 32;
    }

    /**
     * @return float from 0 to, not including, 1
     */
    public function fraction(): float
    {
        return $this->draw() / 4_294_967_296.0;
    }

    /**
     * @template T
     *
     * @param list<T> $values
     *
     * @return list<T>
     */
    public function shuffle(array $values): array
    {
        return array_values($this->randomizer->shuffleArray($values));
    }

    private function draw(): int
    {
        if ($this->next >= self::HANDFUL) {
            $numbers = unpack('V*', $this->randomizer->getBytes(4 * self::HANDFUL));
            \assert(false !== $numbers);
            /** @var array<int, int> $numbers unpack counts from 1 */
            $this->numbers = $numbers;
            $this->next = 0;
        }

        return $this->numbers[++$this->next];
    }
}
