<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\HandOut\Plan;

use FreshHuddle\Core\Materials\CopyDue;

/**
 * The copies of one original a round should have.
 */
final readonly class RowDue
{
    /**
     * @param bool                 $isUnfinished nothing can be copied of it yet
     * @param list<CopyDue>        $due
     * @param array<string, mixed> $earlier      by `group|student`: whose copy begins with what was written last time
     */
    public function __construct(
        public string $original,
        public string $title,
        public int $version,
        public bool $isUnfinished,
        public array $due,
        public array $earlier,
    ) {
    }
}
