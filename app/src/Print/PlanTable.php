<?php

declare(strict_types=1);

namespace FreshHuddle\App\Print;

/**
 * A table on a printed plan.
 */
final readonly class PlanTable
{
    /**
     * @param list<array{seat: int, name: string, note: string}> $tags who sits there; `note`: what their number carries
     * @param list<string>                                       $lines what the table gets
     */
    public function __construct(
        public int $number,
        public string $name,
        public int $mark,
        public array $tags,
        public array $lines = [],
    ) {
    }
}
