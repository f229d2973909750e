<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Notice;

/**
 * A notice as staff see it: to whom it went, and how many have seen it.
 */
final readonly class SaidNotice
{
    /**
     * @param int          $seq      the number of the event it came with
     * @param int          $at       milliseconds since 1970
     * @param list<string> $groups   to which groups it was said; none and nobody: to all
     * @param list<string> $students every student it was said to; none: all
     * @param int          $seen     how many have seen it
     */
    public function __construct(
        public int $seq,
        public string $text,
        public int $at,
        public array $groups,
        public array $students,
        public int $seen,
    ) {
    }
}
