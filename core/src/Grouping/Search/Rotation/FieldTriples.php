<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Search\Rotation;

/**
 * 3q students in threes, q = 6t + 1 a power of a prime: a Kirkman system, in which everybody meets everybody in (3q −
 * 1)/2 rounds (Ray-Chaudhuri and Wilson, 1971). Students are the elements of the field, three times over.
 */
final readonly class FieldTriples implements Construction
{
    public function rounds(array $sizes, int $rounds): ?array
    {
        $q = \count($sizes);
        if ([3] !== array_values(array_unique($sizes)) || 1 !== $q % 6 || $rounds > intdiv(3 * $q - 1, 2)) {
            return null;
        }
        $field = Field::withOrder($q);
        $powers = null === $field ? null : self::powers($field, $q);
        if (null === $field || null === $powers) {
            return null;
        }
        $t = intdiv($q - 1, 6);
        $at = static fn (int $exponent, int $layer): array => [$powers[$exponent % ($q - 1)], $layer];
        /** @var list<list<array{int, int}>> $base the groups of the round that is moved through the field */
        $base = [[[0, 0], [0, 1], [0, 2]]];
        $single = [];
        for ($i = 0; $i < 6 * $t; ++$i) {
            $across = [$at($i, 0), $at($i + 2 * $t, 1), $at($i + 4 * $t, 2)];
            if (1 === intdiv($i, $t) % 2) {
                $base[] = $across;
            } else {
                $single[] = $across; // moved through the field it is a round by itself
            }
            if ($i < $t) {
                for ($layer = 0; $layer < 3; ++$layer) {
                    $base[] = [$at($i, $layer), $at($i + 2 * $t, $layer), $at($i + 4 * $t, $layer)];
                }
            }
        }
        $found = [];
        for ($by = 0; $by < $q; ++$by) {
            $found[] = array_map(static fn (array $group): array => self::moved($group, $by, $field), $base);
        }
        foreach ($single as $group) {
            $found[] = array_map(static fn (int $by): array => self::moved($group, $by, $field), range(0, $q - 1));
        }

        return \array_slice($found, 0, $rounds);
    }

    /**
     * @param list<array{int, int}> $group
     *
     * @return list<int>
     */
    private static function moved(array $group, int $by, Field $field): array
    {
        return array_map(static fn (array $place): int => 3 * $field->plus($place[0], $by) + $place[1], $group);
    }

    /**
     * @return list<int>|null the powers of a primitive element, from 1 on; q − 1 of them
     */
    private static function powers(Field $field, int $q): ?array
    {
        for ($element = 2; $element < $q; ++$element) {
            $powers = [1];
            for ($power = $element; 1 !== $power && \count($powers) < $q; $power = $field->times($power, $element)) {
                $powers[] = $power;
            }
            if (\count($powers) === $q - 1) {
                return $powers;
            }
        }

        return null;
    }
}
