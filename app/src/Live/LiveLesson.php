<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Database\Row;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Http\Problem;
use FreshHuddle\App\Lesson\Moments;
use FreshHuddle\App\Lesson\Round;
use FreshHuddle\App\Lesson\Run\RunStore;
use FreshHuddle\App\Stream\Audience;
use FreshHuddle\App\Stream\Stream;
use FreshHuddle\App\Worker\Tasks;
use FreshHuddle\Core\Lesson\Event;
use FreshHuddle\Core\Lesson\EventKind;
use FreshHuddle\Core\Lesson\RoundState;
use FreshHuddle\Core\Live\Command;
use FreshHuddle\Core\Live\Command\SendOut;
use FreshHuddle\Core\Live\Exception\CommandRefused;

/**
 * Carries out what the teacher asks of a lesson: lock it, let core decide, keep the events, then tell everybody.
 */
final readonly class LiveLesson
{
    public function __construct(
        private Connection $db,
        private EventLog $events,
        private FloorStore $floors,
        private Tasks $tasks,
        private Stream $stream,
        private Clock $clock,
        private RunStore $runs,
    ) {
    }

    /**
     * @param string $key a command with a key that was seen before in this lesson has been done and is not done again
     *
     * @throws Problem 422 if the command makes no sense as things stand
     */
    public function carryOut(Round $round, Command $command, string $key, string $actor): void
    {
        $lessonId = $round->lesson->id;
        [$events, $state, $seq] = $this->db->transactional(fn (): array => $this->decide($round, $command, $key, $actor));
        if ([] === $events) {
            return;
        }
        foreach ($events as $event) {
            $this->stream->publish([Audience::everybody($lessonId)], EventKind::NoticeSaid === $event->kind
                ? ['kind' => 'notice', 'notice' => new NoticeView($seq, $event->text('text'), $event->at)]
                : ['kind' => 'round', 'seq' => $seq, 'moments' => Moments::of($state)]);
        }
        $this->stream->publish([Audience::staff($lessonId)], ['kind' => 'lesson']);
    }

    /**
     * @return array{list<Event>, RoundState, int}
     */
    private function decide(Round $round, Command $command, string $key, string $actor): array
    {
        $lessonId = $round->lesson->id;
        $this->events->lock($lessonId);
        $row = $this->db->fetchAssociative('SELECT moments FROM round WHERE id = ?', [$round->id]);
        $state = Moments::read((new Row(false === $row ? throw Problem::notFound() : $row))->json('moments'))->state();
        $fresh = $this->db->executeStatement('INSERT INTO command_key (lesson_id, id) VALUES (?, ?) ON CONFLICT DO NOTHING', [$lessonId, $key]);
        if (0 === $fresh) {
            return [[], $state, 0];
        }
        if ($command instanceof SendOut) {
            $this->somebodyHasASeat($round);
        }
        try {
            $events = $command->decide($state, $this->clock->ms());
        } catch (CommandRefused $e) {
            throw new Problem(422, $e->getMessage());
        }
        if ([] === $events) {
            return [[], $state, 0];
        }
        foreach ($events as $event) {
            if (EventKind::SentOut === $event->kind) {
                $this->runs->begin($round, $event->at, $event->moment('outAt') ?? $event->at);
            }
        }
        $seq = $this->events->append($lessonId, $round->id, $actor, $events);
        foreach ($events as $event) {
            $state = $state->with($event);
            $this->plan($round, $event, $state);
        }
        $this->db->update('round', ['moments' => json_encode(Moments::of($state), \JSON_THROW_ON_ERROR)], ['id' => $round->id]);

        return [$events, $state, $seq];
    }

    /**
     * What has to happen at its time because of an event.
     */
    private function plan(Round $round, Event $event, RoundState $state): void
    {
        match ($event->kind) {
            EventKind::SentOut => $this->planSendOut($round, $state),
            EventKind::TakenBack => $this->planTakeBack($round, $event),
            EventKind::EndChanged => $this->planEnd($round, $state),
            EventKind::CalledBack => $this->planCallBack($round, $state),
            EventKind::KeptWorking => $this->planKeepWorking($round),
            EventKind::NoticeSaid => $this->tasks->ask(RoundWork::SAY, $round->id, null, ['text' => $event->text('text')]),
            EventKind::SeatsChanged, EventKind::WhereaboutsChanged => null,
        };
    }

    private function planSendOut(Round $round, RoundState $state): void
    {
        $this->db->update('school_class', ['current_lesson_id' => $round->lesson->id], ['id' => $round->lesson->class->id]);
        $this->tasks->cancel(RoundWork::MOVE_BACK, $round->id);
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
        $this->tasks->ask(RoundWork::SAY, $round->id, null, ['text' => 'The call back is off. Keep working.']);
    }

    private function somebodyHasASeat(Round $round): void
    {
        if ([] === $this->floors->now($round->grouping->id)->seated()) {
            throw new Problem(422, 'Nobody has a seat yet. Deal the class into groups first.');
        }
    }
}
