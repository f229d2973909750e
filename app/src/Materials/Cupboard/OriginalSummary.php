<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Cupboard;

/**
 * A worksheet, as it stands in lists.
 */
final readonly class OriginalSummary
{
    /**
     * @param int          $pages     how many it has
     * @param int          $slots     places to fill
     * @param int          $variants  how many forms; 0: one
     * @param int          $changedAt milliseconds since 1970
     * @param int          $used      in how many rounds it is handed out
     * @param list<string> $classes   the names of the classes that use it
     * @param string       $begins    how it begins
     */
    public function __construct(
        public string $id,
        public string $title,
        public string $subject,
        public string $year,
        public string $about,
        public int $pages,
        public int $slots,
        public int $variants,
        public int $changedAt,
        public bool $archived,
        public int $used,
        public array $classes,
        public string $begins,
    ) {
    }
}
