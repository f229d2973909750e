<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Database\Row;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Lesson\Moments;
use FreshHuddle\App\Rooms\Meeting\MeetingServiceFailed;
use FreshHuddle\App\Rooms\Meeting\RoomService;
use FreshHuddle\App\Stream\Audience;
use FreshHuddle\App\Stream\Stream;
use FreshHuddle\App\Worker\GaveUp;
use FreshHuddle\App\Worker\Task;
use FreshHuddle\App\Worker\TaskHandler;
use FreshHuddle\App\Worker\Tasks;
use FreshHuddle\App\Worker\TryAgain;
use FreshHuddle\Core\Lesson\Phase;

/**
 * What the meeting service does at the moments of a round: move people, say something in their rooms. Pages switch by
 * themselves; this is for those who look at the room. The subject of a task is the round's id.
 */
final readonly class RoundWork implements TaskHandler
{
    public const MOVE_OUT = 'moveOut';
    public const MOVE_BACK = 'moveBack';
    public const AUTO_CALL = 'autoCall';
    public const SAY_CALL = 'sayCall';
    public const SAY = 'say';

    private const MOST_TRIES = 5;

    public function __construct(
        private Connection $db,
        private FloorStore $floors,
        private RoomService $service,
        private Stream $stream,
        private Tasks $tasks,
        private Clock $clock,
    ) {
    }

    public static function kinds(): array
    {
        return [self::MOVE_OUT, self::MOVE_BACK, self::AUTO_CALL, self::SAY_CALL, self::SAY];
    }

    public function classOf(Task $task): ?string
    {
        $class = $this->db->fetchOne('SELECT l.class_id FROM round r JOIN lesson l ON l.id = r.lesson_id WHERE r.id = ?', [$task->subject]);

        return \is_string($class) ? $class : null;
    }

    public function handle(Task $task): ?int
    {
        $row = $this->db->fetchAssociative(
            'SELECT r.id, r.grouping_id, r.lesson_id, r.moments, l.class_id FROM round r JOIN lesson l ON l.id = r.lesson_id WHERE r.id = ?',
            [$task->subject],
        );
        if (false === $row) {
            return null;
        }
        $round = new Row($row);
        $moments = Moments::read($round->json('moments'));
        $phase = $moments->phase($this->clock->ms());
        try {
            match ($task->kind) {
                self::MOVE_OUT => $phase->isOut() ? $this->service->move($this->groupRooms($round)) : null,
                self::MOVE_BACK => Phase::Back === $phase ? $this->service->move($this->mainSession($round)) : null,
                self::SAY => $this->service->say($this->rooms($round), \is_string($task->data['text'] ?? null) ? $task->data['text'] : ''),
                default => Phase::ComingBack === $phase ? $this->service->say($this->rooms($round), $this->callText($moments)) : null,
            };
        } catch (MeetingServiceFailed $e) {
            throw $e->worthRetrying && $task->attempts < self::MOST_TRIES ? new TryAgain($e->getMessage(), 300 * 2 ** $task->attempts) : new GaveUp($e->getMessage());
        } finally {
            $this->tasks->ask(WatchWork::WATCH, $round->text('lesson_id'));
            $this->stream->publish([Audience::staff($round->text('lesson_id'))], ['kind' => 'lesson']);
        }

        return null;
    }

    private function callText(Moments $moments): string
    {
        $seconds = max(0, intdiv(($moments->state()->comingBackUntil() ?? 0) - $this->clock->ms(), 1_000));

        return $seconds > 2 ? \sprintf('Back to the main session in %d seconds.', $seconds) : 'Back to the main session now.';
    }

    /**
     * @return array<string, string> student's id => the service's room
     */
    private function groupRooms(Row $round): array
    {
        $rooms = $this->externalIds($round);
        $moves = [];
        foreach ($this->floors->now($round->text('grouping_id'))->groups as $group) {
            foreach (isset($rooms[$group->id]) ? $group->students : [] as $student) {
                $moves[$student] = $rooms[$group->id];
            }
        }

        return $moves;
    }

    /**
     * @return array<string, string> student's id => the service's room
     */
    private function mainSession(Row $round): array
    {
        $main = $this->externalIds($round)[''] ?? null;
        $moves = [];
        if (null !== $main) {
            foreach ($this->floors->now($round->text('grouping_id'))->seated() as $student) {
                $moves[$student] = $main;
            }
        }

        return $moves;
    }

    /**
     * @return list<string>
     */
    private function rooms(Row $round): array
    {
        return array_values($this->externalIds($round));
    }

    /**
     * @return array<string, string> group's id, '' for the main session => the service's room
     */
    private function externalIds(Row $round): array
    {
        $ids = [];
        foreach (Row::all($this->db->fetchAllAssociative(
            'SELECT group_id, external_id FROM room WHERE external_id IS NOT NULL AND (grouping_id = ? OR (class_id = ? AND group_id IS NULL))',
            [$round->text('grouping_id'), $round->text('class_id')],
        )) as $row) {
            $ids[$row->textOrNull('group_id') ?? ''] = $row->text('external_id');
        }

        return $ids;
    }
}
