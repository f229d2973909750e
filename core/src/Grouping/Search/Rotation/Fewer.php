<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Search\Rotation;

/**
 * Where some groups have one student fewer: from a rotation of full groups those are taken out who meet each other in
 * none of the rounds, so that no group loses two.
 */
final readonly class Fewer implements Construction
{
    public function __construct(private Construction $full)
    {
    }

    public function rounds(array $sizes, int $rounds): ?array
    {
        $size = $sizes[0] ?? 0;
        $short = \count(array_filter($sizes, static fn (int $seats): bool => $seats < $size));
        if (0 === $short || $size - (int) end($sizes) > 1 || $size < 3) {
            return null;
        }
        $full = array_fill(0, \count($sizes), $size);
        // Rounds in which two of those taken out meet are left out, so some more may be needed.
        for ($more = 0; $more <= intdiv($short * ($short - 1), 2) + 1; ++$more) {
            $design = $this->full->rounds($full, $rounds + $more);
            if (null === $design) {
                return null;
            }
            $found = self::without($design, $short, $rounds);
            if (null !== $found) {
                return $found;
            }
        }

        return null;
    }

    /**
     * Complexity: O(n² · short).
     *
     * @param list<list<list<int>>> $design
     *
     * @return list<list<list<int>>>|null
     */
    private static function without(array $design, int $short, int $rounds): ?array
    {
        $meet = [];
        foreach ($design as $round => $groups) {
            foreach ($groups as $group) {
                foreach ($group as $student) {
                    foreach ($group as $other) {
                        $meet[$student][$other] = $round;
                    }
                }
            }
        }
        $students = array_keys($meet);
        foreach ($students as $first) {
            $out = [$first];
            $dropped = [];
            while (\count($out) < $short) {
                $best = null;
                foreach ($students as $student) {
                    if (\in_array($student, $out, true)) {
                        continue;
                    }
                    $also = $dropped;
                    foreach ($out as $other) {
                        if (isset($meet[$student][$other])) {
                            $also[$meet[$student][$other]] = true;
                        }
                    }
                    if (null === $best || \count($also) < \count($best[1])) {
                        $best = [$student, $also];
                    }
                }
                if (null === $best || \count($design) - \count($best[1]) < $rounds) {
                    continue 2;
                }
                $out[] = $best[0];
                $dropped = $best[1];
            }

            return self::numbered(\array_slice(array_diff_key($design, $dropped), 0, $rounds), $out);
        }

        return null;
    }

    /**
     * @param list<list<list<int>>> $rounds
     * @param list<int>             $out
     *
     * @return list<list<list<int>>> the students left, numbered from 0 without gaps
     */
    private static function numbered(array $rounds, array $out): array
    {
        $left = array_values(array_diff(array_merge(...$rounds[0]), $out));
        sort($left);
        $number = array_flip($left);

        return array_map(
            static fn (array $groups): array => array_map(
                static fn (array $group): array => array_values(
                    array_map(static fn (int $student): int => $number[$student], array_diff($group, $out)),
                ),
                $groups,
            ),
            $rounds,
        );
    }
}
