<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Record;

/**
 * A stretch of time.
 */
final readonly class Span
{
    public function __construct(public int $from, public int $to)
    {
    }

    /**
     * @return int milliseconds both have in common
     */
    public function shared(int $from, int $to): int
    {
        return max(0, min($this->to, $to) - max($this->from, $from));
    }

    /**
     * @param list<self> $spans
     *
     * @return int milliseconds in at least one of them; O(n log n)
     */
    public static function covered(array $spans): int
    {
        usort($spans, static fn (self $one, self $other): int => $one->from <=> $other->from);
        $covered = 0;
        $until = \PHP_INT_MIN;
        foreach ($spans as $span) {
            $covered += max(0, $span->to - max($span->from, $until));
            $until = max($until, $span->to);
        }

        return $covered;
    }
}
