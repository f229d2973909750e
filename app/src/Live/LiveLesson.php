<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Lesson\Moments;
use FreshHuddle\App\Lesson\NowReader;
use FreshHuddle\App\Lesson\Round;
use FreshHuddle\App\Lesson\Run\RunStore;
use FreshHuddle\App\Lesson\RunningOrders;
use FreshHuddle\App\Lesson\Segment;
use FreshHuddle\App\Live\Exception\LiveRefused;
use FreshHuddle\App\Live\Signal\SignalStore;
use FreshHuddle\App\Roster\Device\StudentUser;
use FreshHuddle\App\Stream\Audience;
use FreshHuddle\App\Stream\Stream;
use FreshHuddle\App\Words\Words;
use FreshHuddle\App\Worker\Tasks;
use FreshHuddle\Core\Lesson\Event;
use FreshHuddle\Core\Lesson\EventKind;
use FreshHuddle\Core\Lesson\RoundState;
use FreshHuddle\Core\Live\Command;
use FreshHuddle\Core\Live\Command\CallBack;
use FreshHuddle\Core\Live\Command\End;
use FreshHuddle\Core\Live\Command\MakeCall;
use FreshHuddle\Core\Live\Command\TakeBackCall;
use FreshHuddle\Core\Live\Exception\CommandRefused;
use FreshHuddle\Core\Live\Signal\CallAbout;
use FreshHuddle\Core\Message;

/**
 * Carries out what the teacher asks of a lesson: hold it, let core decide, keep the events, then tell everybody.
 */
final readonly class LiveLesson
{
    public function __construct(
        private EntityManagerInterface $em,
        private EventStore $events,
        private FloorStore $floors,
        private Tasks $tasks,
        private Stream $stream,
        private Clock $clock,
        private RunStore $runs,
        private RunningOrders $orders,
        private Words $words,
        private NowReader $now,
        private Ending $ending,
        private PresenceStore $presence,
        private SignalStore $signals,
    ) {
    }

    /**
     * @param string $key a command with a key that was seen before in this lesson has been done and is not done again
     *
     * @throws LiveRefused if the command makes no sense as things stand
     */
    public function carryOut(Lesson $lesson, GiveCommand $request, string $key, string $actor): void
    {
        $done = $this->em->wrapInTransaction(function () use ($lesson, $request, $key, $actor): array {
            $this->events->lock($lesson->id);
            if (!$this->events->isFresh($lesson->id, $key)) {
                return [];
            }
            $this->em->refresh($lesson);
            if ($lesson->template) {
                throw LiveRefused::unusable('lesson.template');
            }
            try {
                return $this->decide($lesson, $request, $actor);
            } catch (CommandRefused $e) {
                throw LiveRefused::because($e->says);
            }
        });
        $this->tell($lesson, $done);
    }

    /**
     * A group calls for the teacher, or needs them no longer.
     *
     * @param CallAbout|null $about null: it takes its call back
     *
     * @throws LiveRefused while the student sits in no group that is at work
     */
    public function call(StudentUser $student, ?CallAbout $about): void
    {
        $lesson = null === $student->lessonId ? null : $this->em->find(Lesson::class, $student->lessonId);
        if (null === $lesson || null !== $lesson->endedAt) {
            throw LiveRefused::unusable('live.nobody_is_out');
        }
        $done = $this->em->wrapInTransaction(function () use ($lesson, $student, $about): array {
            $this->events->lock($lesson->id);
            $this->em->refresh($lesson);
            $round = $this->orders->roundNow($lesson);
            $group = $this->floors->now($round->grouping->id)->groupOf($student->id) ?? throw LiveRefused::unusable('live.no_group');
            $signals = $this->signals->of($round->id);
            try {
                return $this->apply($round, null === $about ? new TakeBackCall($group->id, $student->id, $signals) : new MakeCall($group->id, $student->id, $about, $signals), 'student:'.$student->id);
            } catch (CommandRefused $e) {
                throw LiveRefused::because($e->says);
            }
        });
        $this->tell($lesson, $done);
    }

    /**
     * A lesson nobody has ended, and nobody is in any more: it was over when the class went elsewhere, or fell silent.
     */
    public function endByItself(string $lessonId): void
    {
        $lesson = $this->em->find(Lesson::class, $lessonId);
        if (null === $lesson) {
            return;
        }
        $done = $this->em->wrapInTransaction(function () use ($lesson): array {
            $this->events->lock($lesson->id);
            $this->em->refresh($lesson);
            $now = $this->orders->roundNow($lesson);
            if (null === $lesson->segment || null !== $lesson->endedAt) {
                return [];
            }
            $messages = $now->state()->phase($this->clock->ms())->isUnderWay() ? $this->apply($now, new CallBack(0), 'watch') : [];

            return [...$messages, ...$this->end($lesson, $now, new End(false), 'watch')];
        });
        $this->tell($lesson, $done);
    }

    /**
     * @param list<array<string, mixed>> $done
     */
    private function tell(Lesson $lesson, array $done): void
    {
        foreach ($done as $message) {
            $to = $message['to'] ?? null;
            \is_array($to)
                ? $this->stream->publish(array_map(Audience::student(...), array_values(array_filter($to, \is_string(...)))), ['kind' => 'refresh'])
                : $this->stream->publish([Audience::everybody($lesson->id)], $message);
        }
        if ([] !== $done) {
            $this->stream->publish([Audience::staff($lesson->id)], ['kind' => 'lesson']);
        }
    }

    /**
     * @return list<array<string, mixed>>
     *
     * @throws CommandRefused
     */
    private function end(Lesson $lesson, Round $now, Command $command, string $actor): array
    {
        $events = $command->decide($now->state()->state(), $this->clock->ms());
        $is = [] === $events ? null : $this->now->of($lesson->id);
        if (null !== $is && null === $is->endedAt) {
            $this->events->append($lesson->id, $now->id, 'watch', $this->ending->signs($is));
        }

        return $this->keep($now, $events, $actor);
    }

    /**
     * @return list<array<string, mixed>> what everybody is to be told
     *
     * @throws CommandRefused
     */
    private function decide(Lesson $lesson, GiveCommand $request, string $actor): array
    {
        $now = $this->orders->roundNow($lesson);
        if (CommandKind::End === $request->kind || CommandKind::Reopen === $request->kind) {
            return $this->end($lesson, $now, $this->command($request, $now, $actor), $actor);
        }
        if (null !== $lesson->endedAt) {
            throw LiveRefused::unusable('live.lesson_is_over');
        }
        if (CommandKind::Begin === $request->kind) {
            $segment = $this->segment($lesson, $request->segment);
            if (null !== $segment->round) {
                throw LiveRefused::unusable('live.send_out_first', 'segment');
            }
            $last = $lesson->segment->round ?? $now;

            return $this->apply($last, $this->command($request, $last, $actor), $actor);
        }
        if (CommandKind::SendOut !== $request->kind) {
            return $this->apply($now, $this->command($request, $now, $actor), $actor);
        }
        $round = null === $request->segment ? $now : $this->segment($lesson, $request->segment)->round ?? throw LiveRefused::unusable('live.no_groups_here', 'segment');
        if ([] === $this->floors->now($round->grouping->id)->seated()) {
            throw LiveRefused::unusable('live.nobody_seated');
        }
        $messages = [];
        if ($lesson->segment !== $round->segment) {
            // From round to round: who still works in the one before goes on from there.
            if (null !== $lesson->segment?->round && $lesson->segment->round->state()->phase($this->clock->ms())->isUnderWay()) {
                $messages = $this->apply($lesson->segment->round, new CallBack(0), $actor);
            }
            $begun = new Event(EventKind::SegmentBegun, $this->clock->ms(), ['segment' => $round->segment->id]);
            array_push($messages, ...$this->keep($round, [$begun], $actor));
        }
        array_push($messages, ...$this->apply($round, $this->command($request, $round, $actor), $actor));

        return $messages;
    }

    /**
     * @throws CommandRefused
     * @throws LiveRefused    if it is about a group that is not on the floor
     */
    private function command(GiveCommand $request, Round $round, string $actor): Command
    {
        $members = null === $request->group ? [] : $this->members($round, $request->group);
        if ([] === $members && ($request->kind->isOfGroup() || null !== $request->group)) {
            throw LiveRefused::unusable('live.group_gone', 'group');
        }

        return $request->command($round, $this->signals->of($round->id), substr($actor, \strlen('teacher:')), $members);
    }

    /**
     * @return list<string> who sits at a table
     */
    private function members(Round $round, string $groupId): array
    {
        foreach ($this->floors->now($round->grouping->id)->groups as $group) {
            if ($group->id === $groupId) {
                return $group->students;
            }
        }

        return [];
    }

    /**
     * @return list<array<string, mixed>>
     *
     * @throws CommandRefused
     */
    private function apply(Round $round, Command $command, string $actor): array
    {
        $this->em->refresh($round);

        return $this->keep($round, $command->decide($round->state()->state(), $this->clock->ms()), $actor);
    }

    /**
     * @param list<Event> $events
     *
     * @return list<array<string, mixed>>
     */
    private function keep(Round $round, array $events, string $actor): array
    {
        if ([] === $events) {
            return [];
        }
        foreach ($events as $event) {
            if (EventKind::SentOut === $event->kind) {
                $this->runs->begin($round, $event->at, $event->moment('outAt') ?? $event->at);
            }
        }
        $seq = $this->events->append($round->lesson->id, $round->id, $actor, $events);
        $state = $round->state()->state();
        $before = $after = $this->signals->of($round->id);
        $messages = [];
        foreach ($events as $event) {
            $state = $state->with($event);
            $after = $after->with($event);
            $this->plan($round, $event, $state, $seq);
            $messages[] = match ($event->kind) {
                EventKind::NoticeSaid => '' === $event->text('to') ? ['kind' => 'notice', 'notice' => new NoticeView($seq, $event->text('text'), $event->at)] : ['to' => explode('|', trim($event->text('to'), '|'))],
                EventKind::SegmentBegun, EventKind::LessonEnded, EventKind::LessonReopened => ['kind' => 'refresh'],
                // What passes with one group is shown to nobody else.
                EventKind::CallMade, EventKind::CallSeen, EventKind::CallTakenBack, EventKind::VisitBegun, EventKind::VisitEnded, EventKind::ChalkMarked => ['to' => $this->members($round, $event->text('group'))],
                default => ['kind' => 'round', 'seq' => $seq, 'round' => $round->id, 'moments' => Moments::of($state)],
            };
        }
        $this->signals->put($round->id, $before, $after);
        $round->moments = (array) Moments::of($state);
        $this->em->flush();

        return $messages;
    }

    /**
     * What has to happen at its time because of an event.
     */
    private function plan(Round $round, Event $event, RoundState $state, int $seq): void
    {
        match ($event->kind) {
            EventKind::SegmentBegun => $this->goOn($round->lesson, $event),
            EventKind::LessonEnded => $round->lesson->endedAt = $event->at,
            EventKind::LessonReopened => $this->reopen($round->lesson),
            EventKind::SentOut => $this->planSendOut($round, $state),
            EventKind::TakenBack => $this->planTakeBack($round, $event),
            EventKind::EndChanged => $this->planEnd($round, $state),
            EventKind::CalledBack => $this->planCallBack($round, $state),
            EventKind::KeptWorking => $this->planKeepWorking($round),
            // Each is said, also if another follows at once.
            EventKind::NoticeSaid => $this->tasks->ask(RoundWork::SAY, "{$round->id}:{$seq}", null, ['text' => $event->text('text'), 'group' => $event->text('group')]),
            default => null,
        };
    }

    private function reopen(Lesson $lesson): void
    {
        $lesson->endedAt = null;
        $this->taken($lesson);
        $this->tasks->ask(WatchWork::WATCH, $lesson->id);
        $this->tasks->ask(WatchWork::ASK_SERVICE, $lesson->id);
    }

    /**
     * The class comes into this lesson, and has left the one before.
     */
    private function taken(Lesson $lesson): void
    {
        $before = $lesson->class->currentLessonId;
        if (null !== $before && $before !== $lesson->id) {
            $this->tasks->ask(WatchWork::WATCH, $before);
        }
        $lesson->class->currentLessonId = $lesson->id;
    }

    private function goOn(Lesson $lesson, Event $event): void
    {
        if (null === $lesson->segment) {
            $this->presence->watchAnew($lesson->class->id);
        }
        $lesson->segment = $this->segment($lesson, $event->text('segment'));
        $lesson->segmentSince = $event->at;
        $this->taken($lesson);
    }

    private function planSendOut(Round $round, RoundState $state): void
    {
        $this->taken($round->lesson);
        foreach ($this->orders->segments($round->lesson) as $segment) {
            if (null !== $segment->round) {
                $this->tasks->cancel(RoundWork::MOVE_BACK, $segment->round->id);
            }
        }
        $this->tasks->ask(RoundWork::MOVE_OUT, $round->id, $state->outAt);
        $this->tasks->ask(WatchWork::WATCH, $round->lesson->id);
        $this->tasks->ask(WatchWork::ASK_SERVICE, $round->lesson->id);
        $this->planEnd($round, $state);
    }

    private function planTakeBack(Round $round, Event $event): void
    {
        $this->runs->takeBack($round, $event->at);
        $this->tasks->cancel(RoundWork::MOVE_OUT, $round->id);
    }

    private function planEnd(Round $round, RoundState $state): void
    {
        if (null !== $state->autoSeconds) {
            $this->tasks->ask(RoundWork::AUTO_CALL, $round->id, $state->endsAt);
            $this->tasks->ask(RoundWork::MOVE_BACK, $round->id, $state->comingBackUntil());
        }
    }

    private function planCallBack(Round $round, RoundState $state): void
    {
        $this->runs->end($round, $state->comingBackUntil() ?? $this->clock->ms());
        $this->tasks->cancel(RoundWork::MOVE_OUT, $round->id);
        $this->tasks->cancel(RoundWork::AUTO_CALL, $round->id);
        $this->tasks->ask(RoundWork::SAY_CALL, $round->id);
        $this->tasks->ask(RoundWork::MOVE_BACK, $round->id, $state->comingBackUntil());
    }

    private function planKeepWorking(Round $round): void
    {
        $this->runs->goOn($round);
        $this->tasks->cancel(RoundWork::AUTO_CALL, $round->id);
        $this->tasks->cancel(RoundWork::MOVE_BACK, $round->id);
        $this->tasks->ask(RoundWork::SAY, $round->id, null, ['text' => $this->words->say(new Message('live.said.call_off'))]);
    }

    /**
     * @throws LiveRefused if it is not in the lesson's running order
     */
    private function segment(Lesson $lesson, ?string $id): Segment
    {
        foreach ($this->orders->segments($lesson) as $segment) {
            if ($segment->id === $id) {
                return $segment;
            }
        }

        throw LiveRefused::unusable('live.segment_gone', 'segment');
    }
}
