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
    /**
     * Where somebody can be who has given a sign.
     */
    private const SOMEWHERE = [Place::InPlace, Place::OnTheWay, Place::Elsewhere, Place::LeftBehind];

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
    public function forRound(Round $round, Floor $floor, array $where, array $rooms, int $now): array
    {
        $phase = $round->state()->phase($now);
        $openedBy = $this->sources->forClass($round->lesson->class)->openedBy;
        $roles = '' === $openedBy ? [] : $this->numbers->forGrouping($round->grouping)->roles();
        $rooms = array_column($rooms, null, 'groupId');
        $signals = $this->signals->forRound($round->id);
        $progress = $this->progress->forRound($round, $floor);
        $names = $this->staff->names($round->lesson->class);
        $views = $standing = [];
        $somebody = self::isAnybodyThere($where);
        foreach ($floor->groups as $group) {
            $signal = $signals->forGroup($group->id);
            $work = $progress[$group->id] ?? null;
            $present = self::present($group, $where);
            $silent = array_values(array_diff($present, $work->authors ?? []));
            $done = new WorkDone($work->filled ?? 0, $work->slots ?? 0);
            $isDone = $done->isDone(CallAbout::Done === $signal->call?->about, null !== $work?->changedAt);
            // Where nobody of the class has given a sign, nothing is known of any group.
            $isNobody = $somebody && 0 === self::count($present, $where, self::SOMEWHERE);
            $stirredAt = Stillness::since($work?->changedAt, $signal->visitedAt, $round->state()->outAt ?? $now);
            $views[] = new GroupSignalView(
                $group->id,
                null === $signal->call
                    ? null
                    : new CallView($signal->call->by, $signal->call->about, $signal->call->at, $signal->call->seenAt),
                $signal->visits,
                $signal->visitedAt,
                $signal->visitor,
                null === $signal->visitor ? null : $names[$signal->visitor] ?? null,
                $signal->since,
                $signal->mark,
                $work?->changedAt,
                $done->filled,
                $done->places,
                $silent,
                $isDone,
                $stirredAt,
                $stirredAt + Stillness::AFTER,
                $isNobody,
                $phase->isOut()
                    ? $this->waitsFor($group, $present, $rooms[$group->id] ?? null, $openedBy, $roles, $round)
                    : [],
            );
            $standing[] = new GroupAt(
                $group->id,
                $signal->call?->at,
                $signal->visits,
                $signal->visitedAt,
                null !== $signal->visitor,
                $work?->changedAt,
                $isDone ? 1.0 : $done->share(),
                \count($present) - self::count($present, $where, [Place::InPlace, Place::OnTheWay]),
                \count($silent),
                $isNobody,
            );
        }

        return [$views, self::visits($standing, $now, $round->state()->outAt ?? $now)];
    }

    /**
     * @param list<GroupAt> $groups
     *
     * @return list<NextVisitView>
     */
    private static function visits(array $groups, int $now, int $outAt): array
    {
        return array_map(
            static fn (NextVisit $next): NextVisitView => new NextVisitView(
                $next->group,
                $next->reason,
                $next->since,
            ),
            VisitOrder::forGroups($groups, $now, $outAt),
        );
    }

    /**
     * @param array<string, Whereabouts> $where by student
     */
    private static function isAnybodyThere(array $where): bool
    {
        $expected = array_filter($where, static fn (Whereabouts $at): bool => Place::Excused !== $at->place);

        return self::count(array_keys($expected), $where, self::SOMEWHERE) > 0;
    }

    /**
     * @param array<string, Whereabouts> $where by student
     *
     * @return list<string> its students who are expected today
     */
    private static function present(Group $group, array $where): array
    {
        return array_values(
            array_filter(
                $group->students,
                static fn (string $student): bool => Place::Excused !== ($where[$student]->place ?? Place::Excused),
            ),
        );
    }

    /**
     * @param list<string>               $students
     * @param array<string, Whereabouts> $where    by student
     * @param list<Place>                $places
     *
     * @return int how many of them are at one of these places
     */
    private static function count(array $students, array $where, array $places): int
    {
        return \count(
            array_filter(
                $students,
                static fn (string $student): bool => \in_array($where[$student]->place, $places, true),
            ),
        );
    }

    /**
     * @param list<string>       $present  members who are expected today
     * @param array<int, string> $roles by number
     *
     * @return list<string> ids
     */
    private function waitsFor(
        Group $group,
        array $present,
        ?RoomView $room,
        string $openedBy,
        array $roles,
        Round $round,
    ): array {
        $held = [];
        foreach ($group->students as $i => $student) {
            if (\in_array($student, $present, true)) {
                $held[$student] = $roles[$i + 1] ?? '';
            }
        }
        $openers = WayIn::openers($openedBy, $held);
        $waits = array_filter(
            array_keys($held),
            static fn (string $student): bool => WayIn::Wait ===
                WayIn::forStudent(
                    $room?->source,
                    $openedBy,
                    $held,
                    $student,
                    $room?->openedAt,
                    $round->state()->outAt ?? 0,
                ),
        );

        return [] === $waits ? [] : $openers;
    }
}
