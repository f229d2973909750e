<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\ShareOut;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Debrief\Debrief;
use FreshHuddle\App\Debrief\DebriefChanger;
use FreshHuddle\App\Debrief\Exception\DebriefRefused;
use FreshHuddle\App\Grouping\Floor\WorkGroup;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Lesson\NowReader;
use FreshHuddle\App\Lesson\Order\Segment;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Lesson\Run\RunReader;
use FreshHuddle\App\Materials\HandOut\GroupProgress;
use FreshHuddle\App\Materials\HandOut\Progress;
use FreshHuddle\Core\Debrief\ShareOut\ReportOrder;
use FreshHuddle\Core\Debrief\ShareOut\Turns;
use FreshHuddle\Core\Grouping\Group;
use FreshHuddle\Core\Lesson\Actor;
use FreshHuddle\Core\Lesson\Event;
use FreshHuddle\Core\Lesson\EventKind;
use FreshHuddle\Core\Lesson\SegmentKind;
use Symfony\Component\Uid\Uuid;

/**
 * Groups report in turn.
 */
final readonly class ShareOuts
{
    public function __construct(
        private EntityManagerInterface $em,
        private DebriefChanger $changer,
        private NowReader $now,
        private RunReader $runs,
        private Progress $progress,
        private ReportReader $reports,
    ) {
    }

    /**
     * Whose turn comes when; turns that have been are left as they are.
     *
     * @throws DebriefRefused if the lesson is in no share-out
     */
    public function arrange(Lesson $lesson, ArrangeTurns $request, Actor $actor): void
    {
        $this->changer->change($lesson, $actor, function (Debrief $debrief) use ($lesson, $request): array {
            $this->put($debrief, self::segmentOf($lesson), $request->order, $request->groups);

            return [];
        });
    }

    /**
     * A share-out begins: its groups are drawn, unless they have been put in order before. The lesson is held.
     */
    public function prepare(Debrief $debrief, Segment $segment): void
    {
        if ([] === $this->reports->turns($segment)) {
            $this->put($debrief, $segment, $debrief->reportOrder, []);
        }
    }

    /**
     * @throws DebriefRefused if the lesson is in no share-out, or there is no such turn
     */
    public function begin(Lesson $lesson, BeginTurn $request, Actor $actor): void
    {
        $this->changer->change($lesson, $actor, function (Debrief $debrief, int $now) use ($lesson, $request): ?array {
            $segment = self::segmentOf($lesson);
            $turns = $this->reports->turns($segment);
            $current = ReportReader::current($turns);
            if ($current?->id !== $request->now) {
                return null; // pressed twice, or by two
            }
            $next = null === $request->turn ? ReportReader::next($turns) : self::find($turns, $request->turn);
            if (null === $current && null === $next) {
                return null;
            }
            if (null !== $current) {
                $current->endedAt = $now;
            }
            if (null === $next) {
                return [new Event(EventKind::ShareOutDone, $now)];
            }
            $toCome = array_filter(
                $turns,
                static fn (ShareTurn $turn): bool => $turn !== $next && $turn->isToCome(),
            );
            $shares = array_map(static fn (ShareTurn $turn): int => $turn->share, [$next, ...array_values($toCome)]);
            $next->begunAt = $now;
            $times = Turns::divide(ReportReader::left($lesson, $segment, $now), $shares);
            $next->endsAt = $now + ($times[0] ?? Turns::LEAST);
            $next->endedAt = null;

            return [
                new Event(EventKind::TurnBegun, $now, ['group' => $next->group->id, 'endsAt' => $next->endsAt]),
            ];
        });
    }

    /**
     * @throws DebriefRefused if there is no such turn
     */
    public function edit(Lesson $lesson, string $turnId, EditTurn $request, Actor $actor): void
    {
        $this->changer->change($lesson, $actor, function (Debrief $debrief, int $now) use (
            $lesson,
            $turnId,
            $request,
        ): array {
            $turn = self::find($this->reports->turns(self::segmentOf($lesson)), $turnId);
            $turn->share = $request->share ?? $turn->share;
            if (null !== $request->endsAt && $turn->isNow()) {
                $turn->endsAt = max($now, $request->endsAt);
            }

            return [];
        });
    }

    /**
     * Whoever reports has reported, as the lesson goes on or is over. The lesson is held.
     *
     * @param int $now milliseconds since 1970
     *
     * @return bool whether somebody did
     */
    public function stop(Lesson $lesson, int $now): bool
    {
        /** @var list<ShareTurn> $current */
        $current = $this->em
            ->createQueryBuilder()
            ->select('t')
            ->from(ShareTurn::class, 't')
            ->join('t.segment', 's')
            ->where('s.lesson = :lesson AND t.begunAt IS NOT NULL AND t.endedAt IS NULL')
            ->setParameter('lesson', $lesson)
            ->getQuery()
            ->getResult();
        foreach ($current as $turn) {
            $turn->endedAt = $now;
        }

        return [] !== $current;
    }

    /**
     * @param list<string> $groups which report, in order; none: all
     */
    private function put(Debrief $debrief, Segment $segment, ReportOrder $order, array $groups): void
    {
        $debrief->reportOrder = $order;
        $turns = [];
        foreach ($this->reports->turns($segment) as $turn) {
            $turns[$turn->group->id] = $turn;
        }
        $all = $this->groups($segment);
        $wanted = [] === $groups ? array_keys($all) : array_values(array_intersect($groups, array_keys($all)));
        $kept = array_filter($turns, static fn (ShareTurn $turn): bool => !$turn->isToCome());
        $toCome = array_values(array_diff($wanted, array_keys($kept)));
        $arranged = $order->arrange(
            $toCome,
            ReportOrder::ByProgress === $order ? $this->progressOf($segment) : [],
            random_int(0, \PHP_INT_MAX),
        );
        $position = \count($kept);
        foreach (array_diff_key($turns, $kept, array_flip($arranged)) as $turn) {
            $this->em->remove($turn);
        }
        foreach ($arranged as $id) {
            $turn = $turns[$id] ?? new ShareTurn(Uuid::v7()->toRfc4122(), $segment, $all[$id], 0, 1);
            $turn->position = $position++;
            $this->em->persist($turn);
        }
        $position = 0;
        foreach ($kept as $turn) {
            $turn->position = $position++;
        }
    }

    /**
     * @return array<string, WorkGroup> the groups of the round before, in the order of the floor
     */
    private function groups(Segment $segment): array
    {
        $round = $this->now->forLesson($segment->lesson->id)?->roundId;
        $ids = null === $round
            ? []
            : array_map(
                static fn (Group $group): string => $group->id,
                array_filter(
                    $this->runs->floor($round)->groups,
                    static fn (Group $group): bool => [] !== $group->students,
                ),
            );
        $groups = [];
        foreach ($ids as $id) {
            $group = $this->em->find(WorkGroup::class, $id);
            if (null !== $group) {
                $groups[$id] = $group;
            }
        }

        return $groups;
    }

    /**
     * @return array<string, float> by group
     */
    private function progressOf(Segment $segment): array
    {
        $id = $this->now->forLesson($segment->lesson->id)?->roundId;
        $round = null === $id ? null : $this->em->find(Round::class, $id);

        return null === $round
            ? []
            : array_map(
                static fn (GroupProgress $one): float => $one->filled / max(1, $one->slots),
                $this->progress->forRound($round, $this->runs->floor($round->id)),
            );
    }

    /**
     * @throws DebriefRefused if the lesson is in no share-out
     */
    private static function segmentOf(Lesson $lesson): Segment
    {
        return SegmentKind::ShareOut === $lesson->segment?->kind
            ? $lesson->segment
            : throw DebriefRefused::unusable('debrief.no_share_out');
    }

    /**
     * @param list<ShareTurn> $turns
     *
     * @throws DebriefRefused if it is not among them
     */
    private static function find(array $turns, string $id): ShareTurn
    {
        foreach ($turns as $turn) {
            if ($turn->id === $id) {
                return $turn;
            }
        }

        throw DebriefRefused::missing();
    }
}
