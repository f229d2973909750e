<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson\Round;

use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Database\Transaction;
use FreshHuddle\App\Grouping\Desk\Groupings;
use FreshHuddle\App\Grouping\Event\RoundsTaken;
use FreshHuddle\App\Grouping\Grouping;
use FreshHuddle\App\Grouping\Proposal\Several\SeveralRounds;
use FreshHuddle\App\Lesson\Event\RoundsAdded;
use FreshHuddle\App\Lesson\Exception\LessonRefused;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Lesson\Order\RunningOrders;
use FreshHuddle\App\Lesson\Order\Segment;
use FreshHuddle\App\Lesson\Run\Run;
use FreshHuddle\App\Stream\Audience;
use FreshHuddle\App\Stream\Message\LessonHint;
use FreshHuddle\App\Stream\Message\RefreshHint;
use FreshHuddle\App\Stream\Stream;
use FreshHuddle\Core\Lesson\RunningOrder;
use FreshHuddle\Core\Lesson\Segment as PlannedSegment;
use FreshHuddle\Core\Lesson\SegmentKind;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\Uid\Uuid;
use Symfony\Contracts\EventDispatcher\EventDispatcherInterface;

/**
 * Several rounds in one press.
 */
final readonly class RoundFiller
{
    public function __construct(
        private EntityManagerInterface $em,
        private RunningOrders $orders,
        private SeveralRounds $rounds,
        private Groupings $groupings,
        private Stream $stream,
        private EventDispatcherInterface $events,
        private Transaction $transaction,
    ) {
    }

    /**
     * Rounds that groups have not worked in yet get the groupings, in their order; what is missing is added after the
     * last round.
     *
     * @throws LessonRefused if the order was changed elsewhere meanwhile, or if it cannot be
     */
    public function fill(Lesson $lesson, FillRounds $request): void
    {
        $this->transaction->run(function () use ($lesson, $request): void {
            $this->em->refresh($lesson, LockMode::PESSIMISTIC_WRITE);
            if ($lesson->orderStep !== $request->basedOn) {
                throw LessonRefused::outdated('lesson.order.changed');
            }
            $open = $this->openRounds($lesson);
            $base = ($open[0] ?? $this->orders->roundNow($lesson))->grouping;
            $this->place(
                $lesson,
                $open,
                $this->rounds->make(
                    $base,
                    $request->way,
                    $request->rounds,
                    $request->size,
                    array_map(trim(...), $request->topics),
                ),
            );
            ++$lesson->orderStep;
        });
        $this->tell($lesson);
    }

    /**
     * Groups of several rounds, in a lesson that has been made for the last of them.
     */
    public function begin(Lesson $lesson, Grouping $grouping): void
    {
        $series = $this->groupings->series($grouping);
        if (\count($series) > 1) {
            $this->place($lesson, $this->openRounds($lesson), $series);
        }
    }

    /**
     * Groups of several rounds were made at the desk: they come into the lessons that use them and are not over, in
     * their order, from the first round that uses one of them.
     */
    #[AsEventListener]
    public function onRoundsTaken(RoundsTaken $event): void
    {
        $groupings = array_values(
            array_filter(
                array_map(fn (string $id): ?Grouping => $this->em->find(Grouping::class, $id), $event->groupingIds),
            ),
        );
        $lessons = [];
        foreach ($this->em->getRepository(Round::class)->findBy(['grouping' => $groupings]) as $round) {
            if (null === $round->lesson->endedAt && null === $round->lesson->removedAt) {
                $lessons[$round->lesson->id] = $round->lesson;
            }
        }
        foreach ($lessons as $lesson) {
            $this->em->refresh($lesson, LockMode::PESSIMISTIC_WRITE);
            $open = $this->openRounds($lesson);
            while ([] !== $open && !\in_array($open[0]->grouping, $groupings, true)) {
                array_shift($open);
            }
            if ([] !== $open) {
                $this->place($lesson, $open, $groupings);
                ++$lesson->orderStep;
                $this->em->flush();
                $this->tell($lesson);
            }
        }
    }

    /**
     * @param list<Round>    $open      rounds that may have other groups
     * @param list<Grouping> $groupings one a round
     *
     * @throws LessonRefused if those are more rounds than a lesson can have
     */
    private function place(Lesson $lesson, array $open, array $groupings): void
    {
        $segments = $this->orders->segments($lesson);
        foreach ($groupings as $number => $grouping) {
            if (isset($open[$number])) {
                $open[$number]->grouping = $grouping;
            } else {
                $segments = $this->withRound($segments, $lesson, $grouping);
            }
        }
        if (\count($segments) > RunningOrder::MOST) {
            throw LessonRefused::unusable('lesson.order.too_many', 'rounds', ['most' => RunningOrder::MOST]);
        }
        $this->fit($lesson, $segments);
        $this->orders->arrange($lesson, $segments);
        $rounds = array_values(
            array_filter(array_map(static fn (Segment $segment): ?Round => $segment->round, $segments)),
        );
        $together = array_values(
            array_filter($rounds, static fn (Round $round): bool => \in_array($round->grouping, $groupings, true)),
        );
        $first = array_shift($together);
        if (null !== $first && [] !== $together) {
            $this->events->dispatch(
                new RoundsAdded($first->id, array_map(static fn (Round $round): string => $round->id, $together)),
            );
        }
    }

    /**
     * Rounds that are still to come share the time the lesson has for them evenly.
     *
     * @param list<Segment> $segments
     */
    private function fit(Lesson $lesson, array $segments): void
    {
        $open = array_map(static fn (Round $round): string => $round->segment->id, $this->openRounds($lesson));
        $isOpen = static fn (Segment $segment): bool => null !== $segment->round
            && (null === $segment->position || \in_array($segment->id, $open, true));
        $order = RunningOrder::fromSegments(
            array_map(static fn (Segment $segment): PlannedSegment => $segment->planned(), $segments),
        )->withEvenRounds(
            $lesson->minutes,
            array_map(
                static fn (Segment $segment): string => $segment->id,
                array_values(array_filter($segments, $isOpen)),
            ),
        );
        foreach ($order->segments as $i => $planned) {
            $segments[$i]->minutes = $planned->minutes;
        }
    }

    /**
     * @return list<Round> that groups have not worked in yet
     */
    private function openRounds(Lesson $lesson): array
    {
        $open = [];
        foreach ($this->orders->segments($lesson) as $segment) {
            if (
                null !== $segment->round
                && 0 === $this->em->getRepository(Run::class)->count(['round' => $segment->round])
            ) {
                $open[] = $segment->round;
            }
        }

        return $open;
    }

    private function tell(Lesson $lesson): void
    {
        $this->stream->publish([Audience::staff($lesson->id)], new LessonHint());
        $this->stream->publish([Audience::everybody($lesson->id)], new RefreshHint());
    }

    /**
     * @param list<Segment> $segments
     *
     * @return list<Segment>
     */
    private function withRound(array $segments, Lesson $lesson, Grouping $grouping): array
    {
        $last = 0;
        foreach ($segments as $at => $segment) {
            $last = null === $segment->round ? $last : $at + 1;
        }
        $new = new Segment(Uuid::v7()->toRfc4122(), $lesson, null, SegmentKind::Round, 1);
        new Round(Uuid::v7()->toRfc4122(), $new, $grouping);

        return [...\array_slice($segments, 0, $last), $new, ...\array_slice($segments, $last)];
    }
}
