<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Record;

/**
 * Strips in few numbers, for a page that draws many of them.
 */
final readonly class StripCode
{
    /** A strip is drawn no finer than that. */
    public const PARTS = 240;

    /**
     * @param list<StripSpan> $strip
     * @param int             $begunAt milliseconds since 1970
     * @param list<string>    $groups  ids
     *
     * @return list<array{int, int, int}> for each span: when it begins, in milliseconds after the beginning of the
     *                                    lesson (it lasts until the next, the last one until the end); which kind, by
     *                                    its place among the cases of StripKind; which group, by its place, or -1
     */
    public static function spans(array $strip, int $begunAt, array $groups): array
    {
        $kinds = array_flip(array_map(static fn (StripKind $kind): string => $kind->value, StripKind::cases()));
        $place = array_flip($groups);

        return array_map(
            static fn (StripSpan $span): array => [
                $span->from - $begunAt,
                $kinds[$span->kind->value],
                null === $span->group ? -1 : $place[$span->group] ?? -1,
            ],
            $strip,
        );
    }

    /**
     * @param list<int> $moments when something was written, milliseconds since 1970
     *
     * @return list<int> in which of the 240 parts of the lesson, from 0, each once
     */
    public static function parts(array $moments, int $begunAt, int $endedAt): array
    {
        $length = max(1, $endedAt - $begunAt);
        $parts = [];
        foreach ($moments as $at) {
            $parts[min(self::PARTS - 1, max(0, intdiv(self::PARTS * ($at - $begunAt), $length)))] = true;
        }
        ksort($parts);

        return array_keys($parts);
    }
}
