<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Command;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Lesson\Event\SegmentBegun;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Lesson\LessonRepository;
use FreshHuddle\App\Lesson\Notice\PreparedNotice;
use FreshHuddle\App\Lesson\NowReader;
use FreshHuddle\App\Lesson\Order\RunningOrders;
use FreshHuddle\App\Lesson\Order\Segment;
use FreshHuddle\App\Lesson\Round\Moments;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Lesson\Run\CameFrom;
use FreshHuddle\App\Lesson\Run\RunReader;
use FreshHuddle\App\Lesson\Run\RunStore;
use FreshHuddle\App\Live\EventStore;
use FreshHuddle\App\Live\Exception\LiveRefused;
use FreshHuddle\App\Live\Moving\MoveStore;
use FreshHuddle\App\Live\Moving\MoveWork;
use FreshHuddle\App\Live\Notice\PreparedNotices;
use FreshHuddle\App\Live\NoticeView;
use FreshHuddle\App\Live\Presence\Ending;
use FreshHuddle\App\Live\Presence\PresenceStore;
use FreshHuddle\App\Live\Presence\WatchWork;
use FreshHuddle\App\Live\Presence\WhereaboutsReader;
use FreshHuddle\App\Live\Projections;
use FreshHuddle\App\Live\RoundWork;
use FreshHuddle\App\Live\Signal\SignalStore;
use FreshHuddle\App\Rooms\RoomReader;
use FreshHuddle\App\Rooms\RoomWork;
use FreshHuddle\App\Rooms\Run\RunRoomStore;
use FreshHuddle\App\Roster\Device\StudentUser;
use FreshHuddle\App\Roster\Roster;
use FreshHuddle\App\Roster\Student;
use FreshHuddle\App\Stream\Audience;
use FreshHuddle\App\Stream\Stream;
use FreshHuddle\App\Words\Words;
use FreshHuddle\App\Worker\Tasks;
use FreshHuddle\Core\Lesson\Event;
use FreshHuddle\Core\Lesson\EventKind;
use FreshHuddle\Core\Lesson\Phase;
use FreshHuddle\Core\Lesson\RoundState;
use FreshHuddle\Core\Live\Command;
use FreshHuddle\Core\Live\Command\CallBack;
use FreshHuddle\Core\Live\Command\End;
use FreshHuddle\Core\Live\Command\KeepWorking;
use FreshHuddle\Core\Live\Command\MakeCall;
use FreshHuddle\Core\Live\Command\Say;
use FreshHuddle\Core\Live\Command\TakeBackCall;
use FreshHuddle\Core\Live\Exception\CommandRefused;
use FreshHuddle\Core\Live\Moving\Help;
use FreshHuddle\Core\Live\Signal\CallAbout;
use FreshHuddle\Core\Message;
use FreshHuddle\Core\Rooms\MainSession;
use Psr\EventDispatcher\EventDispatcherInterface;

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
        private MoveStore $moves,
        private Projections $projections,
        private WhereaboutsReader $whereabouts,
        private RoomReader $rooms,
        private PreparedNotices $prepared,
        private LessonRepository $lessons,
        private RunReader $runReader,
        private RunRoomStore $runRooms,
        private Roster $roster,
        private EventDispatcherInterface $dispatcher,
    ) {
    }

    /**
     * @param string $key    a command with a key that was seen before in this lesson has been done and is not done
     *                       again
     * @param string $digest of the command: the same key with another one is a mistake
     *
     * @throws LiveRefused if the command makes no sense as things stand, or its key came with another one
     */
    public function carryOut(Lesson $lesson, GiveCommand $request, string $key, string $digest, string $actor): void
    {
        $done = $this->em->wrapInTransaction(function () use ($lesson, $request, $key, $digest, $actor): array {
            $this->events->lock($lesson->id);
            if (!$this->events->isFresh($lesson->id, $key, $digest)) {
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
            $group =
                $this->floors->now($round->grouping->id)->groupOf($student->id) ??
                throw LiveRefused::unusable('live.no_group');
            $signals = $this->signals->of($round->id);
            try {
                return $this->apply(
                    $round,
                    null === $about
                        ? new TakeBackCall($group->id, $student->id, $signals)
                        : new MakeCall($group->id, $student->id, $about, $signals),
                    'student:'.$student->id,
                );
            } catch (CommandRefused $e) {
                throw LiveRefused::because($e->says);
            }
        });
        $this->tell($lesson, $done);
    }

    /**
     * What the teacher has prepared to be said now is said, once in a run, while groups are at work.
     */
    public function sayPrepared(PreparedNotice $notice): void
    {
        $lesson = $notice->round->lesson;
        $done = $this->em->wrapInTransaction(function () use ($lesson, $notice): array {
            $this->events->lock($lesson->id);
            $this->em->refresh($notice->round);
            $moments = $notice->round->state();

            return Phase::Out !== $moments->phase($this->clock->ms())
                || $this->events->wasSaid($lesson->id, $notice->id, $moments->lookFrom ?? 0)
                ? []
                : $this->apply($notice->round, new Say($notice->text, plan: $notice->id), 'watch');
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
            $messages = $now->state()->phase($this->clock->ms())->isUnderWay()
                ? $this->apply($now, new CallBack(0), 'watch')
                : [];

            return [...$messages, ...$this->end($lesson, $now, new End(false), 'watch')];
        });
        $this->tell($lesson, $done);
    }

    /**
     * @param list<array<string, mixed>> $done
     */
    private function tell(Lesson $lesson, array $done): void
    {
        $to = [];
        foreach ($done as $message) {
            $whom = $message['to'] ?? null;
            if (isset($message['wentBackTo'])) {
                $this->stream->publish([Audience::schoolClass($lesson->class->id)], ['kind' => 'refresh']);
            } elseif (\is_array($whom)) {
                array_push($to, ...array_values(array_filter($whom, \is_string(...))));
            } else {
                $this->stream->publish([Audience::everybody($lesson->id)], $message);
            }
        }
        if ([] !== $to) {
            $this->stream->publish(array_map(Audience::student(...), array_values(array_unique($to))), [
                'kind' => 'refresh',
            ]);
        }
        if ([] !== $done) {
            $this->stream->publish(
                [Audience::staff($lesson->id)],
                ['kind' => 'lesson', 'seq' => $this->events->last($lesson->id)],
            );
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
        if (\in_array($request->kind, [CommandKind::Begin, CommandKind::SendOut, CommandKind::Reopen], true)) {
            $this->lessons->mayTakeClass($lesson, $request->leaving);
        }
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
        if (CommandKind::TakeBack === $request->kind) {
            return $this->takeBack($lesson, $now, $this->command($request, $now, $actor), $actor);
        }
        if (CommandKind::SendOut !== $request->kind) {
            return $this->apply($now, $this->command($request, $now, $actor), $actor);
        }
        $round =
            null === $request->segment
                ? $now
                : $this->segment($lesson, $request->segment)->round ??
                    throw LiveRefused::unusable('live.no_groups_here', 'segment');
        if ([] === $this->floors->now($round->grouping->id)->seated()) {
            throw LiveRefused::unusable('live.nobody_seated');
        }
        $messages = [];
        $cameFrom = new CameFrom($lesson->class->currentLessonId, $lesson->segment?->id, $lesson->segmentSince);
        if ($lesson->segment !== $round->segment) {
            // From round to round: who still works in the one before goes on from there, and until then it can be taken
            // back.
            if (
                null !== $lesson->segment?->round
                && $lesson->segment->round->state()->phase($this->clock->ms())->isUnderWay()
            ) {
                $messages = $this->apply($lesson->segment->round, new CallBack($round->lookSeconds), $actor);
            }
            $begun = new Event(EventKind::SegmentBegun, $this->clock->ms(), ['segment' => $round->segment->id]);
            array_push($messages, ...$this->keep($round, [$begun], $actor));
        }
        array_push($messages, ...$this->apply($round, $this->command($request, $round, $actor), $actor, $cameFrom));

        return $messages;
    }

    /**
     * Students who were still looking go back to what they were doing before, in this lesson or another.
     *
     * @return list<array<string, mixed>>
     *
     * @throws CommandRefused
     */
    private function takeBack(Lesson $lesson, Round $round, Command $command, string $actor): array
    {
        $from = $this->runReader->cameFrom($round->id);
        $messages = $this->apply($round, $command, $actor);
        if ([] === $messages || null === $from) {
            return $messages;
        }
        $lesson->segment = null === $from->segment ? null : $this->em->find(Segment::class, $from->segment);
        $lesson->segmentSince = $from->since;
        $lesson->begunAt = null === $lesson->segment ? null : $lesson->begunAt;
        $before = $lesson->segment?->round;
        if (
            null !== $before
            && $before !== $round
            && Phase::ComingBack === $before->state()->phase($this->clock->ms())
        ) {
            array_push($messages, ...$this->apply($before, new KeepWorking(asBefore: true), $actor));
        }
        if (null !== $from->lesson && $from->lesson !== $lesson->id && null !== $this->now->of($from->lesson)) {
            $lesson->class->currentLessonId = $from->lesson;
            $this->tasks->ask(WatchWork::WATCH, $from->lesson);
            $messages[] = ['wentBackTo' => $from->lesson];
        }
        $this->em->flush();

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
        $helps = CommandKind::Fetch === $request->kind ? $this->helps($round->lesson) : [];
        $students = array_values(array_unique([...$members, ...$request->students]));
        if (CommandKind::Say === $request->kind) {
            foreach ($request->groups as $group) {
                $sitting = $this->members($round, $group);
                array_push(
                    $students,
                    ...[] === $sitting ? throw LiveRefused::unusable('live.group_gone', 'groups') : $sitting,
                );
            }
            $students = array_values(array_unique($students));
        }
        $this->mustBeOnList($round->lesson, $students);
        if (CommandKind::TakeAside === $request->kind && !$this->isPlace($round->lesson, $request->place ?? '')) {
            throw LiveRefused::unusable('live.no_such_place', 'place');
        }
        if ([] === $students && $request->kind->isOfStudents() && CommandKind::Fetch !== $request->kind) {
            throw LiveRefused::unusable('live.whom', 'students');
        }

        return $request->command(
            $round,
            new Standing(
                $this->signals->of($round->id),
                $this->moves->of($round->id),
                substr($actor, \strlen('teacher:')),
                $students,
                [] === $students ? $helps : array_intersect_key($helps, array_flip($students)),
            ),
        );
    }

    /**
     * @return array<string, Help> how those are helped who are not where they should be
     */
    private function helps(Lesson $lesson): array
    {
        $now = $this->now->of($lesson->id);

        return null === $now
            ? []
            : array_filter(array_map(Help::for(...), $this->whereabouts->inLesson($now, $this->clock->ms())));
    }

    private function isPlace(Lesson $lesson, string $place): bool
    {
        return MainSession::PLACE === $place || $this->rooms->isSideRoom($lesson->class->id, $place);
    }

    /**
     * @param list<string> $students
     *
     * @throws LiveRefused
     */
    private function mustBeOnList(Lesson $lesson, array $students): void
    {
        // Most commands are about nobody in particular.
        if (
            [] !== $students
            && \count($students) !==
                $this->em
                    ->getRepository(Student::class)
                    ->count(['class' => $lesson->class, 'id' => $students, 'removedAt' => null])
        ) {
            throw LiveRefused::unusable('roster.not_on_list', 'students');
        }
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
    private function apply(Round $round, Command $command, string $actor, ?CameFrom $cameFrom = null): array
    {
        $this->em->refresh($round);

        return $this->keep($round, $command->decide($round->state()->state(), $this->clock->ms()), $actor, $cameFrom);
    }

    /**
     * @param list<Event> $events
     *
     * @return list<array<string, mixed>>
     */
    private function keep(Round $round, array $events, string $actor, ?CameFrom $cameFrom = null): array
    {
        if ([] === $events) {
            return [];
        }
        foreach ($events as $event) {
            if (EventKind::SentOut === $event->kind) {
                $run = $this->runs->begin(
                    $round,
                    $event->at,
                    $event->moment('outAt') ?? $event->at,
                    $cameFrom ?? new CameFrom($round->lesson->id, $round->segment->id, null),
                );
                $this->runRooms->follow($run);
            }
        }
        $events = array_map(fn (Event $event): Event => $this->addressed($round, $event), $events);
        $seq = $this->events->append($round->lesson->id, $round->id, $actor, $events);
        $this->projections->follow($round->id, $events);
        $state = $round->state()->state();
        $messages = [];
        foreach ($events as $event) {
            $state = $state->with($event);
            $this->plan($round, $event, $state, $seq);
            $to = $event->addressees();
            $messages[] = match (true) {
                [] !== $to || $event->kind->isQuiet() => ['to' => $to],
                EventKind::NoticeSaid === $event->kind => [
                    'kind' => 'notice',
                    'notice' => new NoticeView($seq, $event->text('text'), $event->at),
                ],
                \in_array(
                    $event->kind,
                    [EventKind::SegmentBegun, EventKind::LessonEnded, EventKind::LessonReopened],
                    true,
                ) => ['kind' => 'refresh'],
                default => [
                    'kind' => 'round',
                    'seq' => $seq,
                    'round' => $round->id,
                    'moments' => Moments::of($state),
                ],
            };
        }
        $round->moments = (array) Moments::of($state);
        $this->em->flush();

        return $messages;
    }

    /**
     * What passes with one group or one student is shown to nobody else.
     */
    private function addressed(Round $round, Event $event): Event
    {
        return match ($event->kind) {
            EventKind::CallMade,
            EventKind::CallSeen,
            EventKind::CallTakenBack,
            EventKind::VisitBegun,
            EventKind::VisitEnded,
            EventKind::ChalkMarked => $event->addressed($this->members($round, $event->text('group'))),
            EventKind::TakenAside, EventKind::PutBack, EventKind::Fetched => $event->addressed([
                $event->text('student'),
            ]),
            default => $event,
        };
    }

    /**
     * What has to happen at its time because of an event.
     */
    private function plan(Round $round, Event $event, RoundState $state, int $seq): void
    {
        match ($event->kind) {
            EventKind::SegmentBegun => $this->goOn($round->lesson, $event),
            EventKind::LessonEnded => $this->planEnded($round->lesson, $event),
            EventKind::LessonReopened => $this->reopen($round->lesson),
            EventKind::SentOut => $this->planSendOut($round, $state),
            EventKind::TakenBack => $this->planTakeBack($round, $event),
            EventKind::EndChanged => $this->planEnd($round, $state),
            EventKind::CalledBack => $this->planCallBack($round, $state),
            EventKind::KeptWorking => $this->planKeepWorking($round, $state),
            EventKind::Paused => $this->planPause($round, $state),
            EventKind::WentOn => $this->planEnd($round, $state),
            EventKind::TakenAside, EventKind::PutBack => $this->planMove($round, $event),
            EventKind::Fetched => $this->tasks->ask(MoveWork::FETCH, "{$round->id}:{$event->text('student')}"),
            // Each is said, also if another follows at once.
            EventKind::NoticeSaid => $this->tasks->ask(RoundWork::SAY, "{$round->id}:{$seq}", null, [
                'text' => $event->text('text'),
                'groups' => $event->text('groups'),
                'to' => $event->text('to'),
            ]),
            default => null,
        };
    }

    private function planEnded(Lesson $lesson, Event $event): void
    {
        $lesson->endedAt = $event->at;
        $this->roster->guestsLeave($lesson->class, $lesson->id);
    }

    private function reopen(Lesson $lesson): void
    {
        $lesson->endedAt = null;
        $this->roster->guestsComeBack($lesson->class, $lesson->id);
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
            $this->stream->publish([Audience::staff($before)], ['kind' => 'lesson']);
        }
        $lesson->class->currentLessonId = $lesson->id;
    }

    private function goOn(Lesson $lesson, Event $event): void
    {
        if (null === $lesson->segment) {
            $this->presence->watchAnew($lesson->class->id);
        }
        $segment = $this->segment($lesson, $event->text('segment'));
        $lesson->segment = $segment;
        $lesson->segmentSince = $event->at;
        $lesson->begunAt ??= $event->at;
        $this->taken($lesson);
        $this->dispatcher->dispatch(new SegmentBegun($segment->id));
    }

    private function planSendOut(Round $round, RoundState $state): void
    {
        $round->lesson->begunAt ??= $state->lookFrom;
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
        $this->prepared->plan($round, RoundState::planned());
        $this->tasks->cancel(RoundWork::MOVE_OUT, $round->id);
    }

    private function planPause(Round $round, RoundState $state): void
    {
        $this->tasks->cancel(RoundWork::AUTO_CALL, $round->id);
        $this->tasks->cancel(RoundWork::MOVE_BACK, $round->id);
        $this->prepared->plan($round, $state);
    }

    private function planMove(Round $round, Event $event): void
    {
        $this->tasks->ask(MoveWork::MOVE, "{$round->id}:{$event->text('student')}", $event->moment('from'));
        foreach ($this->moves->sideRooms($round->id) as $room) {
            $this->tasks->ask(
                RoomWork::SHUT_OUT,
                $room,
                ($event->moment('from') ?? $event->at) + RoomWork::TIME_TO_GO,
            );
        }
    }

    private function planEnd(Round $round, RoundState $state): void
    {
        $this->prepared->plan($round, $state);
        if ($state->endsByItself()) {
            $this->tasks->ask(RoundWork::AUTO_CALL, $round->id, $state->endsAt);
            $this->tasks->ask(RoundWork::MOVE_BACK, $round->id, $state->comingBackUntil());
        }
    }

    private function planCallBack(Round $round, RoundState $state): void
    {
        $run = $this->runReader->lastRun($round->id);
        if (null !== $run) {
            $this->runs->follow($run);
        }
        $this->runs->end($round, $state->comingBackUntil() ?? $this->clock->ms());
        $this->prepared->plan($round, $state);
        $this->tasks->cancel(RoundWork::MOVE_OUT, $round->id);
        $this->tasks->cancel(RoundWork::AUTO_CALL, $round->id);
        $this->tasks->cancel(RoundWork::MOVE_BACK, $round->id);
        if ($this->goesOnElsewhere($round->lesson)) {
            return; // they are moved by the round they are in now
        }
        $this->tasks->ask(RoundWork::SAY_CALL, $round->id);
        $this->tasks->ask(RoundWork::MOVE_BACK, $round->id, $state->comingBackUntil());
    }

    /**
     * Whether the class has been sent out in another lesson by now.
     */
    private function goesOnElsewhere(Lesson $lesson): bool
    {
        $current = $lesson->class->currentLessonId;
        $now = null === $current || $current === $lesson->id ? null : $this->now->of($current);

        return null !== $now && $now->phase($this->clock->ms())->isUnderWay();
    }

    private function planKeepWorking(Round $round, RoundState $state): void
    {
        $this->prepared->plan($round, $state);
        $this->runs->goOn($round);
        $this->tasks->cancel(RoundWork::AUTO_CALL, $round->id);
        $this->tasks->cancel(RoundWork::MOVE_BACK, $round->id);
        $this->planEnd($round, $state);
        $this->tasks->ask(RoundWork::SAY, $round->id, null, [
            'text' => $this->words->say(new Message('live.said.call_off')),
        ]);
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
