<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Signal;

use FreshHuddle\App\Grouping\Seat\Numbers;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Materials\HandOut\Progress;
use FreshHuddle\App\Rooms\RoomView;
use FreshHuddle\App\Rooms\Source\RoomSources;
use FreshHuddle\App\Roster\Staff\Staff;
use FreshHuddle\Core\Grouping\Floor;
use FreshHuddle\Core\Grouping\Group;
use FreshHuddle\Core\Live\Place;
use FreshHuddle\Core\Live\Signal\CallAbout;
use FreshHuddle\Core\Live\Visit\GroupAt;
use FreshHuddle\Core\Live\Visit\NextVisit;
use FreshHuddle\Core\Live\Visit\VisitOrder;
use FreshHuddle\Core\Live\Whereabouts;
use FreshHuddle\Core\Live\Work\Progress as WorkDone;
use FreshHuddle\Core\Live\Work\Stillness;
use FreshHuddle\Core\Rooms\WayIn;

/**
 * How the groups of a round that is on stand, and whom to visit next.
 */
final readonly class LiveGroups
{
    public function __construct(
        private SignalStore $signals,
        private Progress $progress,
        private Staff $staff,
        private RoomSources $sources,
        private Numbers $numbers,
    ) {
    }

    /**
     * @param array<string, Whereabouts> $where by student, of those on the list
     * @param list<RoomView>             $rooms of the groups
     * @param int                        $now   milliseconds since 1970
     *
     * @return array{list<GroupSignalView>, list<NextVisitView>} in the order of the floor; and whom to visit, the next
     *     first
     */
    public function of(Round $round, Floor $floor, array $where, array $rooms, int $now): array
    {
        $phase = $round->state()->phase($now);
        $openedBy = $this->sources->of($round->lesson->class)->openedBy;
        $roles = '' === $openedBy ? [] : $this->numbers->of($round->grouping)->roles();
        $rooms = array_column($rooms, null, 'groupId');
        $signals = $this->signals->of($round->id);
        $progress = $this->progress->of($round, $floor);
        $names = $this->staff->names($round->lesson->class);
        $views = $standing = [];
        $somebody =
            [] !==
            array_filter(
                $where,
                static fn (Whereabouts $one): bool => Place::Lost !== $one->place && Place::Excused !== $one->place,
            );
        foreach ($floor->groups as $group) {
            $is = $signals->of($group->id);
            $work = $progress[$group->id] ?? null;
            $here = array_values(
                array_filter(
                    $group->students,
                    static fn (string $student): bool => Place::Excused !==
                        ($where[$student]->place ?? Place::Excused),
                ),
            );
            $silent = array_values(array_diff($here, $work->authors ?? []));
            $done = new WorkDone($work->filled ?? 0, $work->slots ?? 0);
            $isDone = $done->isDone(CallAbout::Done === $is->call?->about, null !== $work?->changedAt);
            // Where nobody of the class has given a sign, nothing is known of any group.
            $isNobody =
                $somebody
                && [] ===
                    array_filter($here, static fn (string $student): bool => Place::Lost !== $where[$student]->place);
            $stirredAt = Stillness::since($work?->changedAt, $is->visitedAt, $round->state()->outAt ?? $now);
            $views[] = new GroupSignalView(
                $group->id,
                null === $is->call
                    ? null
                    : new CallView($is->call->by, $is->call->about, $is->call->at, $is->call->seenAt),
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
                $stirredAt,
                $stirredAt + Stillness::AFTER,
                $isNobody,
                $phase->isOut()
                    ? $this->waitsFor($group, $here, $rooms[$group->id] ?? null, $openedBy, $roles, $round)
                    : [],
            );
            $missing = \count(
                array_filter(
                    $here,
                    static fn (string $student): bool => !\in_array(
                        $where[$student]->place,
                        [Place::InPlace, Place::OnTheWay],
                        true,
                    ),
                ),
            );
            $standing[] = new GroupAt(
                $group->id,
                $is->call?->at,
                $is->visits,
                $is->visitedAt,
                null !== $is->visitor,
                $work?->changedAt,
                $isDone ? 1.0 : $done->share(),
                $missing,
                \count($silent),
                $isNobody,
            );
        }

        return [
            $views,
            array_map(
                static fn (NextVisit $next): NextVisitView => new NextVisitView(
                    $next->group,
                    $next->reason,
                    $next->since,
                ),
                VisitOrder::of($standing, $now, $round->state()->outAt ?? $now),
            ),
        ];
    }

    /**
     * @param list<string>       $here  members who are expected today
     * @param array<int, string> $roles by number
     *
     * @return list<string> ids
     */
    private function waitsFor(
        Group $group,
        array $here,
        ?RoomView $room,
        string $openedBy,
        array $roles,
        Round $round,
    ): array {
        $held = [];
        foreach ($group->students as $i => $student) {
            if (\in_array($student, $here, true)) {
                $held[$student] = $roles[$i + 1] ?? '';
            }
        }
        $openers = WayIn::openers($openedBy, $held);
        $waits = array_filter(
            array_keys($held),
            static fn (string $student): bool => WayIn::Wait ===
                WayIn::of($room?->source, $openedBy, $held, $student, $room?->openedAt, $round->state()->outAt ?? 0),
        );

        return [] === $waits ? [] : $openers;
    }
}
