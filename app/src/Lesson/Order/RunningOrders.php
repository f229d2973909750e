<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson\Order;

use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use Doctrine\ORM\Query;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Database\Transaction;
use FreshHuddle\App\Grouping\Grouping;
use FreshHuddle\App\Lesson\Event\RoundPlanned;
use FreshHuddle\App\Lesson\Event\RoundsAdded;
use FreshHuddle\App\Lesson\Exception\LessonRefused;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Lesson\Run\Run;
use FreshHuddle\App\Stream\Audience;
use FreshHuddle\App\Stream\Message\LessonHint;
use FreshHuddle\App\Stream\Message\RefreshHint;
use FreshHuddle\App\Stream\Stream;
use FreshHuddle\Core\Lesson\Exception\UnusableOrder;
use FreshHuddle\Core\Lesson\Phase;
use FreshHuddle\Core\Lesson\RunningOrder;
use FreshHuddle\Core\Lesson\Segment as PlannedSegment;
use FreshHuddle\Core\Lesson\SegmentKind;
use Symfony\Component\Uid\Uuid;
use Symfony\Contracts\EventDispatcher\EventDispatcherInterface;

/**
 * The running order of a lesson: what comes when, for how long, and in which groups.
 */
final readonly class RunningOrders
{
    public function __construct(
        private EntityManagerInterface $em,
        private Clock $clock,
        private Stream $stream,
        private EventDispatcherInterface $events,
        private Transaction $transaction,
    ) {
    }

    public function forLesson(Lesson $lesson): RunningOrder
    {
        return RunningOrder::fromSegments(
            array_map(static fn (Segment $segment): PlannedSegment => $segment->planned(), $this->segments($lesson)),
        );
    }

    public function view(Lesson $lesson): RunningOrderView
    {
        $segments = $this->segments($lesson);
        $order = $this->forLesson($lesson);

        return new RunningOrderView(
            $lesson->orderStep,
            $order->spare($lesson->minutes),
            array_map(SegmentView::fromSegment(...), $segments),
            $lesson->segment?->id,
            $lesson->segmentSince,
            $order->after($lesson->segment?->id)?->id,
        );
    }

    /**
     * @return Segment|null null: it is not in the lesson's running order
     */
    public function find(Lesson $lesson, ?string $id): ?Segment
    {
        foreach ($this->segments($lesson) as $segment) {
            if ($segment->id === $id) {
                return $segment;
            }
        }

        return null;
    }

    /**
     * @param bool $fresh they and their rounds as they are by now, also where they have been loaded before
     *
     * @return list<Segment> in their order
     */
    public function segments(Lesson $lesson, bool $fresh = false): array
    {
        $query = $this->em
            ->createQueryBuilder()
            ->select('s', 'r', 'g', 'n')
            ->from(Segment::class, 's')
            ->leftJoin('s.round', 'r')
            ->leftJoin('r.grouping', 'g')
            ->leftJoin('r.notices', 'n')
            ->where('s.lesson = :lesson')
            ->andWhere('s.position IS NOT NULL')
            ->setParameter('lesson', $lesson)
            ->orderBy('s.position')
            ->addOrderBy('n.beforeEnd')
            ->addOrderBy('n.seconds')
            ->getQuery();
        if ($fresh) {
            $query->setHint(Query::HINT_REFRESH, true);
        }
        /** @var list<Segment> $segments */
        $segments = $query->getResult();

        return $segments;
    }

    /**
     * The round a page shows where nobody has chosen: the one the lesson is in, or else the next one, or else the last.
     *
     * @param bool $fresh as it is by now, for whoever holds the lesson
     */
    public function roundNow(Lesson $lesson, bool $fresh = false): Round
    {
        $segments = $this->segments($lesson, $fresh); // the one the lesson is in comes with them
        $now = $lesson->segment?->position;
        $last = null;
        foreach ($segments as $segment) {
            $last = $segment->round ?? $last;
            if (null !== $segment->round && $segment->position >= ($now ?? 0)) {
                break;
            }
        }
        \assert(null !== $last, 'A running order has a round.');

        return $last;
    }

    /**
     * The rounds of a lesson that are still to come, in their order; the one that is shown is among them, also if it
     * has been sent out before. Of a template, those that are in it.
     *
     * @return non-empty-list<Round>
     */
    public function roundsToCome(Round $shown): array
    {
        $rounds = [];
        foreach ($this->segments($shown->lesson) as $segment) {
            $round = $segment->round;
            if (null === $round) {
                continue;
            }
            if ($round === $shown || Phase::Planned === $round->state()->phase($this->clock->ms())) {
                $rounds[] = $round;
            }
        }

        return [] === $rounds ? [$shown] : $rounds;
    }

    /**
     * @throws LessonRefused if it was changed elsewhere meanwhile, or what would go has been sent out, or if no lesson
     *                       can
     *                       have it so
     */
    public function change(Lesson $lesson, ChangeOrder $change): void
    {
        $this->transaction->run(function () use ($lesson, $change): void {
            $this->em->refresh($lesson, LockMode::PESSIMISTIC_WRITE);
            if ($lesson->orderStep !== $change->basedOn) {
                throw LessonRefused::outdated('lesson.order.changed');
            }
            $known = array_column($this->segments($lesson), 'id');
            $wanted = $this->wanted($lesson, $change);
            $this->arrange($lesson, $wanted);
            ++$lesson->orderStep;
            $this->follow($wanted, $known);
        });
        $this->tell($lesson);
    }

    /**
     * @throws LessonRefused if the grouping is none of the class; for other groups while these are out
     */
    public function edit(Segment $segment, EditSegment $edit): void
    {
        $this->transaction->run(function () use ($segment, $edit): void {
            $segment->instructions = $edit->instructions ?? $segment->instructions;
            $segment->minutes = $edit->minutes ?? $segment->minutes;
            $round = $segment->round;
            if (null !== $round) {
                if (null !== $edit->groupingId) {
                    $this->useGrouping($round, $edit->groupingId);
                }
                $round->lookSeconds = $edit->lookSeconds ?? $round->lookSeconds;
                $round->callBackSeconds = $edit->callBackSeconds ?? $round->callBackSeconds;
                $round->autoCallBack = $edit->autoCallBack ?? $round->autoCallBack;
                if (null !== $edit->notices) {
                    $round->prepare($edit->notices);
                    $this->em->flush();
                    $this->events->dispatch(new RoundPlanned($round->id));
                }
            }
        });
        $this->tell($segment->lesson);
    }

    /**
     * Closes what everybody does alone in a segment, now or at a time, or leaves it open.
     *
     * @throws LessonRefused if nothing is done alone in it
     */
    public function close(Segment $segment, ?int $at): void
    {
        if (SegmentKind::Alone !== $segment->kind) {
            throw LessonRefused::unusable('lesson.nothing_alone', 'closesAt');
        }
        $this->transaction->run(function () use ($segment, $at): void {
            $segment->closesAt = null === $at ? null : max($at, $this->clock->ms());
        });
        $this->tell($segment->lesson);
    }

    /**
     * Puts these segments into the order, and takes those that are not among them out of it.
     *
     * @param list<Segment> $wanted
     */
    public function arrange(Lesson $lesson, array $wanted): void
    {
        foreach ($this->segments($lesson) as $segment) {
            if (!\in_array($segment, $wanted, true)) {
                $this->mayGo($segment);
            }
            $segment->position = null;
            if (null !== $segment->round) {
                $segment->round->number = null;
            }
        }
        // places are free before they are taken anew: a position and a number stand once at any moment
        $this->em->flush();
        $round = 0;
        foreach ($wanted as $position => $segment) {
            $segment->position = $position;
            $this->em->persist($segment);
            if (null !== $segment->round) {
                $segment->round->number = ++$round;
            }
        }
        $this->em->flush();
    }

    /**
     * A round that was added follows the one before it.
     *
     * @param list<Segment> $segments
     * @param list<string>  $known    those that were there before
     */
    private function follow(array $segments, array $known): void
    {
        $before = null;
        foreach ($segments as $segment) {
            if (null !== $segment->round && null !== $before && !\in_array($segment->id, $known, true)) {
                $this->events->dispatch(new RoundsAdded($before->id, [$segment->round->id]));
            }
            $before = $segment->round ?? $before;
        }
    }

    private function tell(Lesson $lesson): void
    {
        $this->stream->publish([Audience::staff($lesson->id)], new LessonHint());
        $this->stream->publish([Audience::everybody($lesson->id)], new RefreshHint());
    }

    /**
     * @return list<Segment>
     */
    private function wanted(Lesson $lesson, ChangeOrder $change): array
    {
        $known = [];
        foreach ($this->em->getRepository(Segment::class)->findBy(['lesson' => $lesson]) as $segment) {
            $known[$segment->id] = $segment;
        }
        $groupings = array_values(
            array_filter(
                array_map(
                    static fn (Segment $segment): ?Grouping => $segment->round?->grouping,
                    $this->segments($lesson),
                ),
            ),
        );
        $grouping = $groupings[0];
        $wanted = [];
        foreach ($change->segments as $position => $asked) {
            $segment =
                null === $asked->id
                    ? null
                    : $known[$asked->id] ??
                        throw LessonRefused::unusable('lesson.order.stranger', "segments[{$position}].id");
            if (null === $segment) {
                $segment = new Segment(Uuid::v7()->toRfc4122(), $lesson, null, $asked->kind, $asked->minutes);
                if (SegmentKind::Round === $asked->kind) {
                    new Round(Uuid::v7()->toRfc4122(), $segment, $grouping);
                }
            }
            $segment->minutes = $asked->minutes;
            $grouping = $segment->round->grouping ?? $grouping;
            $wanted[] = $segment;
        }
        try {
            RunningOrder::fromSegments(
                array_map(static fn (Segment $segment): PlannedSegment => $segment->planned(), $wanted),
            );
        } catch (UnusableOrder $e) {
            throw LessonRefused::because($e->says, null === $e->position ? 'segments' : "segments[{$e->position}]");
        }

        return $wanted;
    }

    /**
     * @throws LessonRefused
     */
    private function mayGo(Segment $segment): void
    {
        if ($segment->lesson->segment === $segment) {
            throw LessonRefused::outdated('lesson.order.segment_is_on', 'segments');
        }
        if (
            null !== $segment->round
            && 0 < $this->em->getRepository(Run::class)->count(['round' => $segment->round])
        ) {
            throw LessonRefused::outdated('lesson.order.round_has_run', 'segments');
        }
    }

    private function useGrouping(Round $round, string $groupingId): void
    {
        // who removes it holds it too
        $grouping = $this->em->find(Grouping::class, $groupingId, LockMode::PESSIMISTIC_WRITE);
        if (null === $grouping || $grouping->class !== $round->lesson->class || null !== $grouping->removedAt) {
            throw LessonRefused::unusable('lesson.grouping_of_another_class', 'groupingId');
        }
        if ($grouping->id !== $round->grouping->id && $round->state()->phase($this->clock->ms())->isUnderWay()) {
            throw LessonRefused::outdated('lesson.groups_are_out', 'groupingId');
        }
        $round->grouping = $grouping;
    }
}
