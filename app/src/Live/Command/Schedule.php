<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Command;

use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Lesson\NowReader;
use FreshHuddle\App\Lesson\Order\RunningOrders;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Lesson\Run\RunReader;
use FreshHuddle\App\Lesson\Run\RunStore;
use FreshHuddle\App\Live\Moving\MoveStore;
use FreshHuddle\App\Live\Moving\MoveTaskHandler;
use FreshHuddle\App\Live\Notice\PreparedNotices;
use FreshHuddle\App\Live\Presence\WatchTaskHandler;
use FreshHuddle\App\Live\RoundTaskHandler;
use FreshHuddle\App\Rooms\RoomTaskHandler;
use FreshHuddle\App\Words\Words;
use FreshHuddle\App\Worker\Tasks;
use FreshHuddle\Core\Lesson\Event;
use FreshHuddle\Core\Lesson\EventKind;
use FreshHuddle\Core\Lesson\RoundState;
use FreshHuddle\Core\Message;

/**
 * What has to happen at its time because of an event.
 */
final readonly class Schedule
{
    public function __construct(
        private Tasks $tasks,
        private RunStore $runs,
        private RunReader $runReader,
        private RunningOrders $orders,
        private PreparedNotices $prepared,
        private MoveStore $moves,
        private NowReader $now,
        private Words $words,
        private Clock $clock,
        private LessonCourse $course,
    ) {
    }

    /**
     * What has to happen at its time because of an event.
     */
    public function plan(Round $round, Event $event, RoundState $state, int $seq): void
    {
        match ($event->kind) {
            EventKind::SegmentBegun => $this->course->goOn($round->lesson, $event),
            EventKind::LessonEnded => $this->course->end($round->lesson, $event),
            EventKind::LessonReopened => $this->course->reopen($round->lesson),
            EventKind::SentOut => $this->planSendOut($round, $state),
            EventKind::TakenBack => $this->planTakeBack($round, $event),
            EventKind::EndChanged => $this->planEnd($round, $state),
            EventKind::CalledBack => $this->planCallBack($round, $state),
            EventKind::KeptWorking => $this->planKeepWorking($round, $state),
            EventKind::Paused => $this->planPause($round, $state),
            EventKind::WentOn => $this->planEnd($round, $state),
            EventKind::TakenAside, EventKind::PutBack => $this->planMove($round, $event),
            EventKind::Fetched => $this->tasks->schedule(MoveTaskHandler::FETCH, "{$round->id}:{$event->text('student')}"),
            // Each is said, also if another follows at once.
            EventKind::NoticeSaid => $this->tasks->schedule(RoundTaskHandler::SAY, "{$round->id}:{$seq}", null, [
                'text' => $event->text('text'),
                'groups' => $event->text('groups'),
                'to' => $event->to ?? [],
            ]),
            default => null,
        };
    }

    private function planSendOut(Round $round, RoundState $state): void
    {
        $round->lesson->begunAt ??= $state->lookFrom;
        $this->course->makeCurrent($round->lesson);
        foreach ($this->orders->segments($round->lesson) as $segment) {
            if (null !== $segment->round) {
                $this->tasks->cancel($segment->round->id, RoundTaskHandler::MOVE_BACK);
            }
        }
        $this->tasks->schedule(RoundTaskHandler::MOVE_OUT, $round->id, $state->outAt);
        $this->tasks->schedule(WatchTaskHandler::WATCH, $round->lesson->id);
        $this->tasks->schedule(WatchTaskHandler::ASK_SERVICE, $round->lesson->id);
        $this->planEnd($round, $state);
    }

    private function planTakeBack(Round $round, Event $event): void
    {
        $this->runs->takeBack($round, $event->at);
        $this->prepared->plan($round, RoundState::planned());
        $this->tasks->cancel($round->id, RoundTaskHandler::MOVE_OUT);
    }

    private function planPause(Round $round, RoundState $state): void
    {
        $this->tasks->cancel($round->id, RoundTaskHandler::AUTO_CALL, RoundTaskHandler::MOVE_BACK);
        $this->prepared->plan($round, $state);
    }

    private function planMove(Round $round, Event $event): void
    {
        $this->tasks->schedule(MoveTaskHandler::MOVE, "{$round->id}:{$event->text('student')}", $event->moment('from'));
        foreach ($this->moves->sideRooms($round->id) as $room) {
            $this->tasks->schedule(
                RoomTaskHandler::SHUT_OUT,
                $room,
                ($event->moment('from') ?? $event->at) + RoomTaskHandler::TIME_TO_GO,
            );
        }
    }

    private function planEnd(Round $round, RoundState $state): void
    {
        $this->prepared->plan($round, $state);
        if ($state->endsByItself()) {
            $this->tasks->schedule(RoundTaskHandler::AUTO_CALL, $round->id, $state->endsAt);
            $this->tasks->schedule(RoundTaskHandler::MOVE_BACK, $round->id, $state->comingBackUntil());
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
        $this->tasks->cancel(
            $round->id,
            RoundTaskHandler::MOVE_OUT,
            RoundTaskHandler::AUTO_CALL,
            RoundTaskHandler::MOVE_BACK,
        );
        if ($this->goesOnElsewhere($round->lesson)) {
            return; // they are moved by the round they are in now
        }
        $this->tasks->schedule(RoundTaskHandler::SAY_CALL, $round->id);
        $this->tasks->schedule(RoundTaskHandler::MOVE_BACK, $round->id, $state->comingBackUntil());
    }

    /**
     * Whether the class has been sent out in another lesson by now.
     */
    private function goesOnElsewhere(Lesson $lesson): bool
    {
        $current = $lesson->class->currentLessonId;
        $now = null === $current || $current === $lesson->id ? null : $this->now->forLesson($current);

        return null !== $now && $now->phase($this->clock->ms())->isUnderWay();
    }

    private function planKeepWorking(Round $round, RoundState $state): void
    {
        $this->prepared->plan($round, $state);
        $this->runs->goOn($round);
        $this->tasks->cancel($round->id, RoundTaskHandler::AUTO_CALL, RoundTaskHandler::MOVE_BACK);
        $this->planEnd($round, $state);
        $this->tasks->schedule(RoundTaskHandler::SAY, $round->id, null, [
            'text' => $this->words->say(new Message('live.said.call_off')),
        ]);
    }
}
