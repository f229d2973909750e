<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Lesson\Round\Moments;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Lesson\Run\RunStore;
use FreshHuddle\App\Live\Admission\RoomGuardTaskHandler;
use FreshHuddle\App\Live\Moving\RoundMoves;
use FreshHuddle\App\Live\Presence\WatchTaskHandler;
use FreshHuddle\App\Rooms\Meeting\MeetingServiceFailed;
use FreshHuddle\App\Rooms\Meeting\RoomServices;
use FreshHuddle\App\Rooms\RoomOpener;
use FreshHuddle\App\Rooms\RoomReader;
use FreshHuddle\App\Rooms\RoomTaskHandler;
use FreshHuddle\App\Stream\Audience;
use FreshHuddle\App\Stream\Message\LessonHint;
use FreshHuddle\App\Stream\Stream;
use FreshHuddle\App\Words\Words;
use FreshHuddle\App\Worker\Task;
use FreshHuddle\App\Worker\TaskHandler;
use FreshHuddle\App\Worker\Tasks;
use FreshHuddle\Core\Lesson\Phase;
use FreshHuddle\Core\Message;

/**
 * What the meeting service does at the moments of a round: move people, say something in their rooms. Pages switch by
 * themselves; this is for those who look at the room. The subject of a task is the round's id.
 */
final readonly class RoundTaskHandler implements TaskHandler
{
    public const MOVE_OUT = 'moveOut';
    public const MOVE_BACK = 'moveBack';
    public const AUTO_CALL = 'autoCall';
    public const SAY_CALL = 'sayCall';
    public const SAY = 'say';

    private const MOST_TRIES = 5;

    public function __construct(
        private EntityManagerInterface $em,
        private RoomReader $rooms,
        private RoundMoves $moves,
        private RunStore $runs,
        private RoomServices $services,
        private RoomOpener $opener,
        private Stream $stream,
        private Tasks $tasks,
        private Words $words,
        private Clock $clock,
    ) {
    }

    public static function kinds(): array
    {
        return [self::MOVE_OUT, self::MOVE_BACK, self::AUTO_CALL, self::SAY_CALL, self::SAY];
    }

    public function classOf(Task $task): ?string
    {
        return $this->round($task)?->lesson->class->id;
    }

    public function handle(Task $task): ?int
    {
        $round = $this->round($task);
        if (null === $round) {
            return null;
        }
        $phase = $round->state()->phase($this->clock->ms());
        if (self::AUTO_CALL === $task->kind && \in_array($phase, [Phase::ComingBack, Phase::Back], true)) {
            $this->runs->end($round, $round->state()->state()->comingBackUntil() ?? $this->clock->ms());
        }
        $rooms = $this->rooms->made($round->lesson->class->id, $round->grouping->id);
        if (self::MOVE_OUT === $task->kind || self::MOVE_BACK === $task->kind) {
            $this->tasks->scheduleOnce(RoomGuardTaskHandler::CHECK, $round->lesson->class->id);
        }
        try {
            match ($task->kind) {
                self::MOVE_OUT => $phase->isOut() ? $this->moveOut($round, $rooms) : null,
                self::MOVE_BACK => Phase::Back === $phase ? $this->moveBack($round, $rooms) : null,
                self::SAY => $this->say($task, $rooms),
                default => Phase::ComingBack === $phase
                    ? $this->services->say(array_map(strval(...), array_keys($rooms)), $this->callText($round->state()))
                    : null,
            };
        } catch (MeetingServiceFailed $e) {
            throw $e->tryAgain($task, self::MOST_TRIES, 300);
        } finally {
            $this->tasks->schedule(WatchTaskHandler::WATCH, $round->lesson->id);
            $this->stream->publish([Audience::staff($round->lesson->id)], new LessonHint());
        }

        return null;
    }

    /**
     * The subject is the round's id, with what tells one notice from another behind it.
     */
    private function round(Task $task): ?Round
    {
        return $this->em->find(Round::class, explode(':', $task->subject)[0]);
    }

    /**
     * @param array<string, string> $rooms the service's room => its place
     *
     * @throws MeetingServiceFailed
     */
    private function say(Task $task, array $rooms): void
    {
        $groups =
            \is_string($task->data['groups'] ?? null) && '' !== $task->data['groups']
                ? explode('|', $task->data['groups'])
                : [];
        $text = \is_string($task->data['text'] ?? null) ? $task->data['text'] : '';
        $students = array_filter((array) ($task->data['to'] ?? []), \is_string(...));
        $to = [] === $students ? array_keys($rooms) : array_keys(array_intersect($rooms, $groups));
        if ([] !== $to) {
            $this->services->say(array_map(strval(...), $to), $text);
        }
        // What is said to single students is not said in a room others are in.
        foreach ([] === $groups ? $students : [] as $student) {
            $this->services->tell($student, $text);
        }
    }

    /**
     * @param array<string, string> $rooms the service's room => its place
     *
     * @throws MeetingServiceFailed
     */
    private function moveOut(Round $round, array $rooms): void
    {
        $this->opener->open($round->grouping->id);
        $this->services->move($this->moves->groupRooms($round, $rooms), $this->allRooms($round));
    }

    /**
     * @param array<string, string> $rooms the service's room => its place
     *
     * @throws MeetingServiceFailed
     */
    private function moveBack(Round $round, array $rooms): void
    {
        $this->services->move($this->moves->mainSession($round, $rooms), $this->allRooms($round));
        foreach ($this->moves->sideRooms($round) as $room) {
            $this->tasks->schedule(RoomTaskHandler::SHUT_OUT, $room, $this->clock->ms() + RoomTaskHandler::TIME_TO_GO);
        }
        $this->opener->closeLater($round->grouping->id);
    }

    /**
     * @return list<string> what the services call them, side rooms and those of other groupings too
     */
    private function allRooms(Round $round): array
    {
        return array_map(strval(...), array_keys($this->rooms->made($round->lesson->class->id)));
    }

    private function callText(Moments $moments): string
    {
        $seconds = max(0, intdiv(($moments->state()->comingBackUntil() ?? 0) - $this->clock->ms(), 1_000));

        return $this->words->say(new Message('live.said.back', ['seconds' => $seconds > 2 ? $seconds : 0]));
    }
}
