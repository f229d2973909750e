<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Database\Transaction;
use FreshHuddle\App\Grouping\Grouping;
use FreshHuddle\App\Lesson\Exception\LessonRefused;
use FreshHuddle\App\Lesson\Order\RunningOrders;
use FreshHuddle\App\Lesson\Order\Segment;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Lesson\Round\RoundFiller;
use FreshHuddle\App\Roster\SchoolClass;
use FreshHuddle\App\Stream\Audience;
use FreshHuddle\App\Stream\Message\LessonHint;
use FreshHuddle\App\Stream\Message\RefreshHint;
use FreshHuddle\App\Stream\Stream;
use FreshHuddle\App\Worker\Tasks;
use FreshHuddle\Core\Lesson\RunningOrder;
use FreshHuddle\Core\Lesson\SegmentKind;
use Psr\Clock\ClockInterface;
use Symfony\Component\Uid\Uuid;

/**
 * Lessons are made, begun from others, and changed.
 */
final readonly class Lessons
{
    public function __construct(
        private EntityManagerInterface $em,
        private ClockInterface $clock,
        private RunningOrders $orders,
        private RoundFiller $filler,
        private FirstGrouping $first,
        private LessonCopier $copier,
        private Stream $stream,
        private LessonRepository $lessons,
        private Tasks $tasks,
        private Transaction $transaction,
    ) {
    }

    public function create(SchoolClass $class, MakeLesson $request, ?Lesson $from = null): Lesson
    {
        return $this->begin($class, $request, $from, function (Lesson $lesson) use ($request, $from): void {
            if (null === $from) {
                $grouping = $this->first->choose($lesson, $request->grouping);
                $this->orders->arrange($lesson, $this->usual($lesson, $grouping));
                $this->filler->begin($lesson, $grouping);
            } else {
                $lesson->begunFrom = $from;
                $this->copier->begin($lesson, $from, $request->groups);
            }
        });
    }

    /**
     * A lesson that somebody else plans: its running order, its rounds and their groups.
     *
     * @param callable(Lesson): void $plan
     */
    public function createWith(SchoolClass $class, MakeLesson $request, callable $plan): Lesson
    {
        return $this->begin($class, $request, null, $plan);
    }

    /**
     * @param callable(Lesson): void $plan
     */
    private function begin(SchoolClass $class, MakeLesson $request, ?Lesson $from, callable $plan): Lesson
    {
        return $this->transaction->run(function () use ($class, $request, $from, $plan): Lesson {
            $now = $this->clock->now();
            $startsAt = null === $request->startsAt ? $now : self::moment($request->startsAt);
            $startsAt = null === $from || $from->class !== $class ? $startsAt : $this->free($class, $startsAt);
            $lesson = new Lesson(
                Uuid::v7()->toRfc4122(),
                $class,
                trim($request->title),
                $from->minutes ?? $request->minutes,
                $now,
                $request->template ? null : $startsAt,
            );
            $lesson->template = $request->template;
            $lesson->talkOnly = $from->talkOnly ?? $class->talkOnly;
            $lesson->locksAtEnd = $from->locksAtEnd ?? false;
            $this->em->persist($lesson);
            if (!$lesson->template) {
                $class->currentLessonId ??= $lesson->id;
            }
            $this->em->flush();
            $plan($lesson);
            DoorsOpenHandler::schedule($this->tasks, $lesson);

            return $lesson;
        });
    }

    /**
     * The next lesson is never at the same moment as another of the class: a week later then, or two.
     */
    private function free(SchoolClass $class, \DateTimeImmutable $startsAt): \DateTimeImmutable
    {
        for (
            $weeks = 0;
            $weeks < 60
            && null !==
                $this->em
                    ->getRepository(Lesson::class)
                    ->findOneBy(['class' => $class, 'startsAt' => $startsAt, 'removedAt' => null]);
            ++$weeks
        ) {
            $startsAt = $startsAt->modify('+1 week');
        }

        return $startsAt;
    }

    public function edit(Lesson $lesson, EditLesson $edit): void
    {
        $lesson->title = trim($edit->title ?? $lesson->title);
        $lesson->minutes = $edit->minutes ?? $lesson->minutes;
        if (null !== $edit->talkOnly) {
            $lesson->talkOnly = $lesson->class->talkOnly = $edit->talkOnly;
        }
        $lesson->locksAtEnd = $edit->locksAtEnd ?? $lesson->locksAtEnd;
        if (null !== $edit->startsAt && !$lesson->template) {
            $lesson->startsAt = self::moment($edit->startsAt);
            DoorsOpenHandler::schedule($this->tasks, $lesson);
        }
        $this->em->flush();
        $this->stream->publish([Audience::staff($lesson->id)], new LessonHint());
        $this->stream->publish([Audience::everybody($lesson->id)], new RefreshHint());
    }

    /**
     * From now on students of the class are taken to this lesson.
     *
     * @param string|null $leaving the other lesson that the class is known to leave
     *
     * @throws LessonRefused for a template, and while another lesson is on than the one named
     */
    public function makeCurrent(Lesson $lesson, ?string $leaving = null): void
    {
        if ($lesson->template) {
            throw LessonRefused::unusable('lesson.template');
        }
        $this->lessons->mayTakeClass($lesson, $leaving);
        $was = $lesson->class->currentLessonId;
        $lesson->class->currentLessonId = $lesson->id;
        $this->em->flush();
        if (null !== $was) {
            $this->stream->publish([Audience::schoolClass($lesson->class->id)], new RefreshHint());
        }
    }

    /**
     * Thrown away. Nothing of it is lost; its groups are free for other lessons.
     *
     * @throws LessonRefused while its groups are at work
     */
    public function remove(Lesson $lesson): void
    {
        $now = (int) $this->clock->now()->format('Uv');
        foreach ($this->orders->segments($lesson) as $segment) {
            if (true === $segment->round?->state()->phase($now)->isUnderWay()) {
                throw LessonRefused::outdated('lesson.removed_while_out');
            }
        }
        $lesson->removedAt ??= $this->clock->now();
        if ($lesson->class->currentLessonId === $lesson->id) {
            $lesson->class->currentLessonId = null;
        }
        $this->em->flush();
        $this->stream->publish([Audience::schoolClass($lesson->class->id)], new RefreshHint());
    }

    public function restore(Lesson $lesson): void
    {
        $lesson->removedAt = null;
        $lesson->class->currentLessonId ??= $lesson->template ? null : $lesson->id;
        $this->em->flush();
        $this->stream->publish([Audience::schoolClass($lesson->class->id)], new RefreshHint());
    }

    /**
     * Staff look at the lesson: it is on.
     */
    public function watched(Lesson $lesson): void
    {
        $now = $this->clock->now();
        if (null === $lesson->watchedAt || $lesson->watchedAt < $now->modify('-1 minute')) {
            $lesson->watchedAt = $now;
            $this->em->flush();
        }
    }

    /**
     * @return list<Segment>
     */
    private function usual(Lesson $lesson, Grouping $grouping): array
    {
        $segments = [];
        foreach (RunningOrder::usual($lesson->minutes) as [$kind, $minutes]) {
            $segments[] = $segment = new Segment(Uuid::v7()->toRfc4122(), $lesson, null, $kind, $minutes);
            if (SegmentKind::Round === $kind) {
                new Round(Uuid::v7()->toRfc4122(), $segment, $grouping);
            }
        }

        return $segments;
    }

    private static function moment(int $ms): \DateTimeImmutable
    {
        return (new \DateTimeImmutable())->setTimestamp(intdiv($ms, 1_000));
    }
}
