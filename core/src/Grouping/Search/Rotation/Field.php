<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Search\Rotation;

/**
 * A finite field of q = pᵐ elements, written as numbers of m digits to the base p, the lowest digit first.
 */
final readonly class Field
{
    /** q => p and an irreducible polynomial of degree m, lowest power first. */
    private const POLYNOMIALS = [
        4 => [2, [1, 1, 1]],
        8 => [2, [1, 1, 0, 1]],
        16 => [2, [1, 1, 0, 0, 1]],
        32 => [2, [1, 0, 1, 0, 0, 1]],
        9 => [3, [1, 0, 1]],
        27 => [3, [1, 2, 0, 1]],
        25 => [5, [3, 0, 1]],
        49 => [7, [1, 0, 1]],
    ];

    /**
     * @param list<int> $polynomial
     */
    private function __construct(private int $q, private int $p, private array $polynomial)
    {
    }

    /**
     * @return self|null null where q is no power of a prime, or one too large to be asked for
     */
    public static function withOrder(int $q): ?self
    {
        if (isset(self::POLYNOMIALS[$q])) {
            return new self($q, ...self::POLYNOMIALS[$q]);
        }
        if ($q < 2) {
            return null;
        }
        for ($d = 2; $d * $d <= $q; ++$d) {
            if (0 === $q % $d) {
                return null;
            }
        }

        return new self($q, $q, [0, 1]);
    }

    public function plus(int $a, int $b): int
    {
        return $this->number(
            array_map(fn (int $x, int $y): int => ($x + $y) % $this->p, $this->digits($a), $this->digits($b)),
        );
    }

    public function times(int $a, int $b): int
    {
        if ($this->q === $this->p) {
            return ($a * $b) % $this->p;
        }
        $degree = \count($this->polynomial) - 1;
        $product = array_fill(0, 2 * $degree - 1, 0);
        foreach ($this->digits($a) as $i => $x) {
            foreach ($this->digits($b) as $j => $y) {
                $product[$i + $j] = ($product[$i + $j] + $x * $y) % $this->p;
            }
        }
        for ($power = 2 * $degree - 2; $power >= $degree; --$power) {
            foreach ($this->polynomial as $i => $coefficient) {
                $at = $power - $degree + $i;
                if ($at !== $power) {
                    $product[$at] = ($product[$at] + ($this->p - $coefficient) * $product[$power]) % $this->p;
                }
            }
        }

        return $this->number(\array_slice($product, 0, $degree));
    }

    /**
     * @return list<int>
     */
    private function digits(int $number): array
    {
        $digits = [];
        for ($i = 1; $i < \count($this->polynomial); ++$i) {
            $digits[] = $number % $this->p;
            $number = intdiv($number, $this->p);
        }

        return $digits;
    }

    /**
     * @param list<int> $digits
     */
    private function number(array $digits): int
    {
        return (int) array_reduce(
            array_reverse($digits),
            fn (int $number, int $digit): int => $number * $this->p + $digit,
            0,
        );
    }
}
