<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Search\Rotation;

/**
 * q groups of at most q, q a power of a prime: students stand in columns of q, and a group is a line of one slope
 * through the columns. Two of different columns are on one line only, so q slopes give q rounds; where the columns are
 * full groups themselves they are one more (nets and affine planes: Bose, 1938).
 */
final readonly class FieldNet implements Construction
{
    public function rounds(array $sizes, int $rounds): ?array
    {
        $q = \count($sizes);
        $columns = $sizes[0] ?? 0;
        $field = Field::withOrder($q);
        $full = array_sum($sizes) === $q * $columns;
        if (
            null === $field
            || $columns < 2
            || $columns > $q
            || $columns - (int) end($sizes) > 1
            || $rounds > $q + ($full && $columns === $q ? 1 : 0)
        ) {
            return null;
        }
        $last = array_sum($sizes) - $q * ($columns - 1); // how many stand in the last column
        $found = [];
        for ($slope = 0; $slope < min($q, $rounds); ++$slope) {
            $groups = array_fill(0, $q, []);
            for ($column = 0; $column < $columns; ++$column) {
                $rise = $field->times($slope, $column);
                for ($line = 0; $line < $q; ++$line) {
                    $row = $field->plus($line, $rise);
                    if ($column < $columns - 1 || $row < $last) {
                        $groups[$line][] = $column * $q + $row;
                    }
                }
            }
            $found[] = $groups;
        }
        if ($rounds > $q) {
            $found[] = array_map(
                static fn (int $column): array => range($column * $q, $column * $q + $q - 1),
                range(0, $q - 1),
            );
        }

        return $found;
    }
}
