<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\History;

use FreshHuddle\App\Grouping\GroupingSummary;

/**
 * What groupings are used for. Lessons know; a grouping only asks.
 */
interface GroupingUsage
{
    /**
     * @return list<GroupingSummary> the groupings of a class, newest first
     */
    public function summaries(string $classId): array;

    /**
     * @return list<GroupingUse> groupings that students of the class have really sat in, the latest last
     */
    public function uses(string $classId): array;

    /**
     * @param string|null $besides a lesson that is not asked about
     * @param int         $now     milliseconds since 1970
     *
     * @return list<OtherUse> lessons that have sent these groups out, the latest first
     */
    public function otherLessons(string $groupingId, ?string $besides, int $now): array;

    /**
     * Whether a lesson has a round in these groups.
     */
    public function isUsedIn(string $groupingId, string $lessonId): bool;

    /**
     * @return string|null the lesson that took it up last; null where none uses it
     */
    public function lessonOf(string $groupingId): ?string;
}
