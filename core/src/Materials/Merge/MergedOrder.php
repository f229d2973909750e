<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Materials\Merge;

/**
 * Which things of two sides' lists stay, and in what order.
 */
final readonly class MergedOrder
{
    /**
     * What both have, what one has put in, and what one has taken out while the other changed it.
     *
     * @param array<array-key, mixed> $base
     * @param array<array-key, mixed> $theirs
     * @param array<array-key, mixed> $mine   each by id
     *
     * @return list<string> ids, in no order
     */
    public static function between(array $base, array $theirs, array $mine): array
    {
        $kept = [];
        foreach ($theirs + $mine as $id => $_) {
            $isBoth = isset($theirs[$id], $mine[$id]);
            if ($isBoth || !isset($base[$id]) || !self::same($theirs[$id] ?? $mine[$id], $base[$id])) {
                $kept[] = (string) $id;
            }
        }

        return $kept;
    }

    /**
     * All of both sides: in the order of the side that has changed it, where only one has; what the other has put in
     * stands behind what it stands behind there.
     *
     * @param list<array-key> $base
     * @param list<array-key> $theirs
     * @param list<array-key> $mine   ids
     *
     * @return list<string>
     */
    public static function woven(array $base, array $theirs, array $mine): array
    {
        [$base, $theirs, $mine] = [
            array_map(strval(...), $base),
            array_map(strval(...), $theirs),
            array_map(strval(...), $mine),
        ];
        $isAsItWas =
            array_values(array_intersect($theirs, $base, $mine)) ===
            array_values(array_intersect($base, $theirs, $mine));
        [$spine, $other] = $isAsItWas ? [$mine, $theirs] : [$theirs, $mine];
        $before = null;
        foreach ($other as $id) {
            if (!\in_array($id, $spine, true)) {
                $at = null === $before ? 0 : 1 + (int) array_search($before, $spine, true);
                array_splice($spine, $at, 0, [$id]);
            }
            $before = $id;
        }

        return array_values($spine);
    }

    /**
     * Whether two values say the same; they are no objects of a kind that could hold more than they say.
     */
    public static function same(mixed $one, mixed $other): bool
    {
        return \is_object($one) && \is_object($other)
            ? $one::class === $other::class && json_encode($one) === json_encode($other)
            : $one === $other;
    }
}
