<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Record\Fact;

/**
 * How much of its work a group had filled in by then.
 */
final readonly class ProgressFact
{
    /**
     * @param int $filled places, 0 to `of`
     */
    public function __construct(
        public string $group,
        public int $at,
        public int $filled,
        public int $of,
    ) {
    }
}
