<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Moving;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Lesson\NowReader;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Live\Presence\WatchTaskHandler;
use FreshHuddle\App\Live\Presence\WhereaboutsReader;
use FreshHuddle\App\Rooms\Meeting\MeetingServiceFailed;
use FreshHuddle\App\Rooms\Meeting\RoomServices;
use FreshHuddle\App\Stream\Audience;
use FreshHuddle\App\Stream\Stream;
use FreshHuddle\App\Words\Words;
use FreshHuddle\App\Worker\Task;
use FreshHuddle\App\Worker\TaskHandler;
use FreshHuddle\App\Worker\Tasks;
use FreshHuddle\Core\Live\Moving\Help;
use FreshHuddle\Core\Live\Place;
use FreshHuddle\Core\Message;

/**
 * Takes students where they are to be, one by one: aside, back, to the seat they were given. Pages switch by
 * themselves; this is for those who look at a room. The subject of a task is `round:student`.
 */
final readonly class MoveTaskHandler implements TaskHandler
{
    public const MOVE = 'moveStudent';
    public const FETCH = 'fetchStudent';

    private const MOST_TRIES = 5;

    public function __construct(
        private EntityManagerInterface $em,
        private MoveStore $moves,
        private NowReader $lessons,
        private WhereaboutsReader $whereabouts,
        private RoomServices $services,
        private StudentMover $mover,
        private Tasks $tasks,
        private Stream $stream,
        private Words $words,
        private Clock $clock,
    ) {
    }

    public static function kinds(): array
    {
        return [self::MOVE, self::FETCH];
    }

    public function classOf(Task $task): ?string
    {
        return $this->subject($task)[0]?->lesson->class->id;
    }

    public function handle(Task $task): ?int
    {
        [$round, $student] = $this->subject($task);
        if (null === $round) {
            return null;
        }
        try {
            return self::FETCH === $task->kind ? $this->fetch($round, $student) : $this->mover->move($round, $student);
        } catch (MeetingServiceFailed $e) {
            throw $e->tryAgain($task, self::MOST_TRIES, 300);
        } finally {
            $this->tasks->schedule(WatchTaskHandler::WATCH, $round->lesson->id);
        }
    }

    /**
     * @return int|null when to try once more
     *
     * @throws MeetingServiceFailed
     */
    private function fetch(Round $round, string $student): ?int
    {
        $lesson = $this->lessons->forLesson($round->lesson->id);
        $move = $this->moves->forRound($round->id)->forStudent($student);
        $now = $this->clock->ms();
        $where = null === $lesson ? null : $this->whereabouts->inLesson($lesson, $now)[$student] ?? null;
        if (
            null === $lesson
            || null !== $lesson->endedAt
            || null === $where
            || null === $move?->fetchedAt
            || null === $move->help
            || Place::InPlace === $where->place
        ) {
            return null;
        }
        $this->stream->publish([Audience::student($student)], new FetchedMessage($now));
        if ($move->help->moves()) {
            $this->services->tell($student, $this->words->say(new Message('live.said.fetched')));
            $this->mover->move($round, $student);
        }

        return Help::Fetch === $move->help && $now < $move->fetchedAt + Help::AGAIN_AFTER * (Help::MOST_TIMES - 1)
            ? $now + Help::AGAIN_AFTER
            : null;
    }

    /**
     * @return array{Round|null, string}
     */
    private function subject(Task $task): array
    {
        [$round, $student] = explode(':', $task->subject) + ['', ''];

        return [$this->em->find(Round::class, $round), $student];
    }
}
