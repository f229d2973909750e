<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Search\Rotation;

/**
 * qᵈ students in groups of q, q a power of a prime, d at least 3: students are the points of an affine space, the
 * groups of a round the lines of one direction. Two points are on one line only, so (qᵈ − 1)/(q − 1) directions give as
 * many rounds: everybody meets everybody (Bose, 1939). The plane (d = 2) is FieldNet's.
 */
final readonly class AffineLines implements Construction
{
    public function rounds(array $sizes, int $rounds): ?array
    {
        $q = $sizes[0] ?? 0;
        $n = array_sum($sizes);
        $field = [$q] === array_values(array_unique($sizes)) ? Field::withOrder($q) : null;
        $dimension = 1;
        for ($points = $q; $points < $n && $q > 1; $points *= $q) {
            ++$dimension;
        }
        if (null === $field || $dimension < 3 || $points !== $n || $rounds > intdiv($n - 1, $q - 1)) {
            return null;
        }
        $found = [];
        // One direction each: vectors whose first coordinate that is not 0 is 1.
        for ($vector = 1; $vector < $n && \count($found) < $rounds; ++$vector) {
            $direction = self::coordinates($vector, $q, $dimension);
            if (1 === array_values(array_filter($direction, static fn (int $step): bool => 0 !== $step))[0]) {
                $found[] = self::lines($direction, $field, $q, $n);
            }
        }

        return $found;
    }

    /**
     * @param list<int> $direction
     *
     * @return list<list<int>>
     */
    private static function lines(array $direction, Field $field, int $q, int $n): array
    {
        $seen = [];
        $lines = [];
        for ($point = 0; $point < $n; ++$point) {
            if (isset($seen[$point])) {
                continue;
            }
            $at = self::coordinates($point, $q, \count($direction));
            $line = [];
            for ($times = 0; $times < $q; ++$times) {
                $number = 0;
                foreach ($direction as $axis => $step) {
                    $number = $number * $q + $field->plus($at[$axis], $field->times($times, $step));
                }
                $line[] = $number;
                $seen[$number] = true;
            }
            $lines[] = $line;
        }

        return $lines;
    }

    /**
     * @return list<int> the digits to the base q, the highest first
     */
    private static function coordinates(int $number, int $q, int $dimension): array
    {
        $digits = [];
        for ($i = 0; $i < $dimension; ++$i) {
            array_unshift($digits, $number % $q);
            $number = intdiv($number, $q);
        }

        return $digits;
    }
}
