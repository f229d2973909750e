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
use FreshHuddle\App\Roster\ClassViews;
use FreshHuddle\App\Stream\Audience;
use FreshHuddle\App\Stream\Stream;
use FreshHuddle\App\Worker\Task;
use FreshHuddle\App\Worker\TaskHandler;
use FreshHuddle\Core\Lesson\Event;
use FreshHuddle\Core\Lesson\EventKind;
use FreshHuddle\Core\Lesson\Phase;
use FreshHuddle\Core\Live\Evidence;
use FreshHuddle\Core\Live\Whereabouts;

/**
 * Keeps an eye on a lesson: turns signs of life into changes of whereabouts, and asks the meeting service again in case
 * one of its callbacks was missed. The subject of a task is the lesson's id.
 */
final readonly class WatchWork implements TaskHandler
{
    public const WATCH = 'watch';
    public const ASK_SERVICE = 'askService';

    /** Milliseconds between two looks. */
    private const EVERY = 2_000;
    private const ASK_EVERY = 8_000;
    /** Nobody watches a lesson in which nothing has stirred for so long. */
    private const QUIET_AFTER = 20 * 60_000;

    public function __construct(
        private Connection $db,
        private FloorStore $floors,
        private ClassViews $classes,
        private WhereaboutsReader $reader,
        private Presence $presence,
        private EventLog $events,
        private RoomService $service,
        private Stream $stream,
        private Clock $clock,
    ) {
    }

    public static function kinds(): array
    {
        return [self::WATCH, self::ASK_SERVICE];
    }

    public function classOf(Task $task): ?string
    {
        $class = $this->db->fetchOne('SELECT class_id FROM lesson WHERE id = ?', [$task->subject]);

        return \is_string($class) ? $class : null;
    }

    public function handle(Task $task): ?int
    {
        $row = $this->db->fetchAssociative(
            'SELECT l.id, l.class_id, r.id AS round_id, r.grouping_id, r.moments FROM lesson l JOIN round r ON r.lesson_id = l.id WHERE l.id = ? ORDER BY r.number LIMIT 1',
            [$task->subject],
        );
        if (false === $row) {
            return null;
        }
        $lesson = new Row($row);
        if (self::ASK_SERVICE === $task->kind) {
            $this->askService($lesson);

            return $this->isQuiet($lesson) ? null : $this->clock->ms() + self::ASK_EVERY;
        }
        $this->look($lesson);

        return $this->isQuiet($lesson) ? null : $this->clock->ms() + self::EVERY;
    }

    private function look(Row $lesson): void
    {
        $now = $this->clock->ms();
        $moments = Moments::read($lesson->json('moments'));
        $students = $this->classes->students($lesson->text('class_id'));
        $whereabouts = $this->reader->of($lesson->text('class_id'), $students, $this->floors->now($lesson->text('grouping_id')), $moments, $now);
        $changed = $this->db->transactional(function () use ($lesson, $whereabouts, $moments, $now): int {
            $this->events->lock($lesson->text('id'));
            $told = $this->told($lesson->text('class_id'));
            $events = [];
            foreach ($whereabouts as $student => $where) {
                $word = self::word($where);
                if (\array_key_exists($student, $told) && $told[$student] !== $word) {
                    $this->db->update('presence', ['told' => $word], ['student_id' => $student]);
                    $events[] = new Event(EventKind::WhereaboutsChanged, $now, [
                        'student' => $student, 'place' => $where->place->value, 'because' => $where->because->value, 'at' => $where->at,
                    ]);
                }
            }
            if ([] !== $events && Phase::Planned !== $moments->phase($now)) {
                $this->events->append($lesson->text('id'), $lesson->text('round_id'), 'watch', $events);
            }

            return \count($events);
        });
        if ($changed > 0) {
            $this->stream->publish([Audience::staff($lesson->text('id'))], ['kind' => 'lesson']);
        }
    }

    private function askService(Row $lesson): void
    {
        $places = [];
        foreach (Row::all($this->db->fetchAllAssociative('SELECT external_id, group_id FROM room WHERE external_id IS NOT NULL AND class_id = ?', [$lesson->text('class_id')])) as $room) {
            $places[$room->text('external_id')] = $room->textOrNull('group_id') ?? Evidence::MAIN;
        }
        if ([] === $places) {
            return;
        }
        $asked = $this->clock->ms();
        try {
            $there = $this->service->whoIsThere(array_keys($places));
        } catch (MeetingServiceFailed) {
            return; // it is asked again soon
        }
        foreach ($this->presence->ofClass($lesson->text('class_id')) as $student => $evidence) {
            $seen = $there[$student] ?? null;
            if (null !== $seen) {
                if ($places[$seen['room']] !== $evidence->servicePlace) {
                    $this->presence->seenByService($student, $seen['room'], max($seen['since'], $evidence->serviceAt ?? 0));
                }
            } elseif (null !== $evidence->servicePlace && ($evidence->serviceAt ?? 0) < $asked) {
                $this->presence->seenByService($student, null, $asked);
            }
        }
    }

    /**
     * @return array<string, string|null> by student
     */
    private function told(string $classId): array
    {
        $told = [];
        foreach (Row::all($this->db->fetchAllAssociative('SELECT p.student_id, p.told FROM presence p JOIN student s ON s.id = p.student_id WHERE s.class_id = ?', [$classId])) as $row) {
            $told[$row->text('student_id')] = $row->textOrNull('told');
        }

        return $told;
    }

    private function isQuiet(Row $lesson): bool
    {
        $now = $this->clock->ms();
        $last = $this->db->fetchOne(
            'SELECT MAX(GREATEST(p.page_at, p.service_at, p.link_at)) FROM presence p JOIN student s ON s.id = p.student_id WHERE s.class_id = ?',
            [$lesson->text('class_id')],
        );
        $outAt = Moments::read($lesson->json('moments'))->outAt ?? 0;

        return max(is_numeric($last) ? (int) $last : 0, $outAt) < $now - self::QUIET_AFTER;
    }

    private static function word(Whereabouts $where): string
    {
        return $where->place->value.'|'.$where->because->value.'|'.$where->at;
    }
}
