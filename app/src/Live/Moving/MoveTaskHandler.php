<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Moving;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Lesson\NowReader;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Live\Presence\WatchTaskHandler;
use FreshHuddle\App\Live\Presence\WhereaboutsReader;
use FreshHuddle\App\Rooms\Event\MembersSet;
use FreshHuddle\App\Rooms\Exception\NoLinkYet;
use FreshHuddle\App\Rooms\Meeting\MeetingServiceFailed;
use FreshHuddle\App\Rooms\Meeting\RoomService;
use FreshHuddle\App\Rooms\Member\Membership;
use FreshHuddle\App\Rooms\Room;
use FreshHuddle\App\Rooms\RoomReader;
use FreshHuddle\App\Stream\Audience;
use FreshHuddle\App\Stream\Stream;
use FreshHuddle\App\Words\Words;
use FreshHuddle\App\Worker\GaveUp;
use FreshHuddle\App\Worker\Task;
use FreshHuddle\App\Worker\TaskHandler;
use FreshHuddle\App\Worker\Tasks;
use FreshHuddle\App\Worker\TryAgain;
use FreshHuddle\Core\Live\Moving\Help;
use FreshHuddle\Core\Live\Place;
use FreshHuddle\Core\Message;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;

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
        private FloorStore $floors,
        private NowReader $lessons,
        private WhereaboutsReader $whereabouts,
        private RoomReader $rooms,
        private RoomService $service,
        private Membership $membership,
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
            return self::FETCH === $task->kind ? $this->fetch($round, $student) : $this->move($round, $student);
        } catch (MeetingServiceFailed $e) {
            throw $e->worthRetrying && $task->attempts < self::MOST_TRIES
                ? new TryAgain($e->says, 300 * 2 ** $task->attempts)
                : new GaveUp($e->says);
        } finally {
            $this->tasks->schedule(WatchTaskHandler::WATCH, $round->lesson->id);
        }
    }

    /**
     * While groups are out, whoever has been given a seat at a table is taken to its room.
     *
     * @throws MeetingServiceFailed
     */
    #[AsEventListener]
    public function follow(MembersSet $event): void
    {
        $now = $this->clock->ms();
        foreach (
            null === $event->groupingId
                ? []
                : $this->em->getRepository(Round::class)->findBy(['grouping' => $event->groupingId]) as $round
        ) {
            $state = $round->state()->state();
            if (!$state->phase($now)->isOut()) {
                continue;
            }
            $moves = $this->moves->forRound($round->id);
            $floor = $this->floors->now($round->grouping->id);
            // Who leaves may still enter for a moment, and is not taken back.
            $present = array_filter(
                $event->students,
                static fn (string $student): bool => $moves->expected(
                    $student,
                    $floor->groupOf($student)?->id,
                    $state,
                    $now,
                )->place === $event->groupId,
            );
            $this->service->move(array_fill_keys($present, $event->external));
        }
    }

    /**
     * @throws MeetingServiceFailed
     */
    private function move(Round $round, string $student): null
    {
        $this->em->refresh($round);
        $place = $this->moves
            ->forRound($round->id)
            ->expected(
                $student,
                $this->floors->now($round->grouping->id)->groupOf($student)?->id,
                $round->state()->state(),
                $this->clock->ms(),
            )->place;
        $external =
            null === $place ? null : array_flip($this->rooms->made($round->lesson->class->id))[$place] ?? null;
        if (null !== $external) {
            $this->admit($place);
            $this->service->move([$student => $external]);
        }
        $this->stream->publish([Audience::student($student)], ['kind' => 'refresh']);

        return null;
    }

    /**
     * Before somebody can be moved into a side room it has to know them.
     *
     * @throws MeetingServiceFailed
     */
    private function admit(string $place): void
    {
        $room = \strlen($place) > 30 ? $this->em->find(Room::class, $place) : null;
        if (null !== $room) {
            try {
                $this->membership->reconcile($room);
            } catch (NoLinkYet) {
                return; // nobody can be moved there, and its page says where it is
            }
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
        $this->stream->publish([Audience::student($student)], ['kind' => 'fetched', 'at' => $now]);
        if ($move->help->moves()) {
            $this->service->tell($student, $this->words->say(new Message('live.said.fetched')));
            $this->move($round, $student);
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
