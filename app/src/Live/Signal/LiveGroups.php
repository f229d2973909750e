<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Signal;

use FreshHuddle\App\Lesson\Round;
use FreshHuddle\App\Materials\HandOut\Progress;
use FreshHuddle\App\Roster\Staff;
use FreshHuddle\Core\Grouping\Floor;
use FreshHuddle\Core\Live\Place;
use FreshHuddle\Core\Live\Signal\CallAbout;
use FreshHuddle\Core\Live\Visit\GroupAt;
use FreshHuddle\Core\Live\Visit\NextVisit;
use FreshHuddle\Core\Live\Visit\VisitOrder;
use FreshHuddle\Core\Live\Whereabouts;
use FreshHuddle\Core\Live\Work\Progress as WorkDone;
use FreshHuddle\Core\Live\Work\Stillness;

/**
 * How the groups of a round that is on stand, and whom to visit next.
 */
final readonly class LiveGroups
{
    public function __construct(private SignalStore $signals, private Progress $progress, private Staff $staff)
    {
    }

    /**
     * @param array<string, Whereabouts> $where by student, of those on the list
     * @param int                        $now   milliseconds since 1970
     *
     * @return array{list<GroupSignalView>, list<NextVisitView>} in the order of the floor; and whom to visit, the next first
     */
    public function of(Round $round, Floor $floor, array $where, int $now): array
    {
        $signals = $this->signals->of($round->id);
        $progress = $this->progress->of($round, $floor);
        $names = $this->staff->names($round->lesson->class);
        $views = $standing = [];
        foreach ($floor->groups as $group) {
            $is = $signals->of($group->id);
            $work = $progress[$group->id] ?? null;
            $here = array_values(array_filter($group->students, static fn (string $student): bool => Place::Excused !== ($where[$student]->place ?? Place::Excused)));
            $silent = array_values(array_diff($here, $work->authors ?? []));
            $done = new WorkDone($work->filled ?? 0, $work->slots ?? 0);
            $isDone = $done->isDone(CallAbout::Done === $is->call?->about);
            $views[] = new GroupSignalView(
                $group->id,
                null === $is->call ? null : new CallView($is->call->by, $is->call->about, $is->call->at, $is->call->seenAt),
                $is->visits,
                $is->visitedAt,
                $is->visitor,
                null === $is->visitor ? null : $names[$is->visitor] ?? null,
                $is->since,
                $is->mark,
                $work?->changedAt,
                $done->filled,
                $done->places,
                $silent,
                $isDone,
                Stillness::since($work?->changedAt, $is->visitedAt, $round->state()->outAt ?? $now) + Stillness::AFTER,
            );
            $missing = \count(array_filter($here, static fn (string $student): bool => !\in_array($where[$student]->place, [Place::InPlace, Place::OnTheWay], true)));
            $standing[] = new GroupAt($group->id, $is->call?->at, $is->visits, $is->visitedAt, null !== $is->visitor, $work?->changedAt, $isDone ? 1.0 : $done->share(), $missing, \count($silent));
        }

        return [$views, array_map(static fn (NextVisit $next): NextVisitView => new NextVisitView($next->group, $next->reason, $next->since), VisitOrder::of($standing, $now, $round->state()->outAt ?? $now))];
    }
}
