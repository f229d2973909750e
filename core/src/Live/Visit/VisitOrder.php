<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Live\Visit;

/**
 * Whom to visit next. Who calls comes first, by how long they have waited: aloud, or by having been still for so long
 * that it is taken for a call. Then everybody is visited once before anybody twice; among those who have been visited
 * equally often goes first who needs it most: who is still, who is well behind the middle group, who has members
 * missing, who has silent members, and at last whoever was visited the longest ago. A group somebody is with is not in
 * the order.
 *
 * Judged in a simulation against going round in order and going where called: docs/decisions/visit-order.md.
 */
final class VisitOrder
{
    /** So far below the middle group a group is behind. */
    public const BEHIND_BY = 0.2;

    /**
     * @param list<GroupAt> $groups in the order of the floor
     * @param int           $now    milliseconds since 1970
     * @param int           $outAt  since when groups have been at work, milliseconds since 1970
     *
     * @return list<NextVisit>
     *
     * Complexity: O(n log n)
     */
    public static function forGroups(array $groups, int $now, int $outAt): array
    {
        $middle = self::middle($groups);
        $ranked = [];
        foreach ($groups as $i => $group) {
            if ($group->visited) {
                continue;
            }
            $next = self::reason($group, $now, $outAt, $middle);
            $calls = $group->callsSince($outAt, $now);
            $rank =
                null !== $calls
                    ? [0, 0, 0, $calls, $i]
                    : [
                        1,
                        $group->visits,
                        -self::need($group, $now, $outAt, $middle),
                        $group->visitedAt ?? $outAt,
                        $i,
                    ];
            $ranked[] = [$rank, $next];
        }
        usort($ranked, static fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return array_column($ranked, 1);
    }

    private static function reason(GroupAt $group, int $now, int $outAt, float $middle): NextVisit
    {
        return match (true) {
            null !== $group->calledAt => new NextVisit($group->id, Reason::Called, $group->calledAt),
            $group->nobody => new NextVisit($group->id, Reason::Nobody, $outAt),
            $group->isStill($outAt, $now) => new NextVisit($group->id, Reason::Still, $group->changedAt ?? $outAt),
            $group->progress < $middle - self::BEHIND_BY => new NextVisit($group->id, Reason::Behind, $outAt),
            $group->missing > 0 => new NextVisit($group->id, Reason::Missing, $group->missing),
            null !== $group->changedAt && $group->silent > 0 => new NextVisit(
                $group->id,
                Reason::Silent,
                $group->silent,
            ),
            0 === $group->visits => new NextVisit($group->id, Reason::NotYet, $outAt),
            default => new NextVisit($group->id, Reason::LongAgo, $group->visitedAt ?? $outAt),
        };
    }

    /**
     * @return int the more, the sooner
     */
    private static function need(GroupAt $group, int $now, int $outAt, float $middle): int
    {
        if ($group->nobody) {
            return 0;
        }

        return ($group->isStill($outAt, $now) ? 8 : 0) +
            ($group->progress < $middle - self::BEHIND_BY ? 4 : 0) +
            ($group->missing > 0 ? 2 : 0) +
            (null !== $group->changedAt && $group->silent > 0 ? 1 : 0);
    }

    /**
     * @param list<GroupAt> $groups
     *
     * @return float the progress of the middle group
     */
    private static function middle(array $groups): float
    {
        $progress = array_map(static fn (GroupAt $group): float => $group->progress, $groups);
        sort($progress);

        return [] === $progress ? 0.0 : $progress[intdiv(\count($progress) - 1, 2)];
    }
}
