<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Presence;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Database\Row;
use FreshHuddle\App\Live\EventStore;
use FreshHuddle\App\Rooms\RoomReader;
use FreshHuddle\App\Stream\Audience;
use FreshHuddle\App\Stream\Stream;
use FreshHuddle\App\Worker\Tasks;
use FreshHuddle\Core\Lesson\Event;
use FreshHuddle\Core\Lesson\EventKind;
use FreshHuddle\Core\Live\Evidence;

/**
 * The latest signs of each student. Not events: a sign replaces the one before; WatchTaskHandler tells when it means
 * something. By hand: every open page writes here every few seconds, in one statement each.
 */
final readonly class PresenceStore
{
    public function __construct(
        private Connection $db,
        private RoomReader $rooms,
        private Tasks $tasks,
        private Stream $stream,
        private Clock $clock,
    ) {
    }

    /**
     * The student's page is open.
     */
    public function pageIsAlive(string $studentId): void
    {
        $this->db->executeStatement(
            'INSERT INTO presence (student_id, page_at) VALUES (:id, :at) ON CONFLICT (student_id)
                DO UPDATE SET page_at = :at',
            ['id' => $studentId, 'at' => $this->clock->ms()],
        );
    }

    /**
     * As if they had never come.
     */
    public function forget(string $studentId): void
    {
        $this->db->delete('presence', ['student_id' => $studentId]);
    }

    /**
     * A sign of life, and what it is answered with.
     *
     * @return array{seq: int, seenIn: string|null} the number of the last event of the lesson that concerns students'
     *     pages, and where the meeting service sees them
     */
    public function record(string $studentId, ?string $lessonId): array
    {
        $row = $this->db->fetchAssociative(
            'WITH alive AS (INSERT INTO presence (student_id, page_at) VALUES (:id, :at) ON CONFLICT (student_id)
                DO UPDATE SET page_at = :at RETURNING service_place)
             SELECT (SELECT e.seq FROM live_event e WHERE e.lesson_id = :lesson AND '.
                EventStore::CONCERNS.
                ' ORDER BY e.seq DESC LIMIT 1) AS seq,
                    (SELECT service_place FROM alive) AS seen_in',
            [
                'id' => $studentId,
                'at' => $this->clock->ms(),
                'lesson' => $lessonId,
                'student' => $studentId,
                'quiet' => '{'.implode(',', EventKind::quiet()).'}',
            ],
        );

        $row = new Row(false === $row ? [] : $row);

        return ['seq' => $row->intOrNull('seq') ?? 0, 'seenIn' => $row->textOrNull('seen_in')];
    }

    /**
     * The student pressed the button that leads to a room.
     *
     * @param string $place `main` or a group's id
     */
    public function followed(string $studentId, string $place): void
    {
        $this->db->executeStatement(
            'INSERT INTO presence (student_id, link_place, link_at, page_at) VALUES (:id, :place, :at, :at)
             ON CONFLICT (student_id) DO UPDATE SET link_place = :place, link_at = :at, page_at = :at',
            ['id' => $studentId, 'place' => $place, 'at' => $this->clock->ms()],
        );
    }

    /**
     * The meeting service saw a person in a room, or saw them go. An older word never undoes a newer one.
     *
     * @param string|null $room what the service calls the room; null: they left
     * @param int         $at   when it saw that, milliseconds since 1970
     * @param string|null $left the room they left, where they may be in another by now; null: any
     */
    public function seenByService(string $person, ?string $room, int $at, ?string $left = null): void
    {
        $lesson = $this->db->fetchAssociative(
            'SELECT c.current_lesson_id AS lesson, c.id AS class FROM student s
                JOIN school_class c ON c.id = s.class_id WHERE s.id = ?',
            [$person],
        );
        if (false === $lesson) {
            return;
        }
        $lesson = new Row($lesson);
        $place = null === $room ? null : $this->rooms->place($lesson->text('class'), $room);
        if (null !== $room && null === $place) {
            return; // a room of another class, or none of ours: it says nothing of where they are in ours
        }
        $before = null === $left ? null : $this->rooms->place($lesson->text('class'), $left);
        $this->seenAt($person, $place, $at, $lesson->textOrNull('lesson'), $before);
    }

    /**
     * Somebody is seen at a place, or nowhere any more.
     *
     * @param string|null $place    `main`, or the id of a group or a side room; null: they left
     * @param int         $at       milliseconds since 1970
     * @param string|null $lessonId the one their class is in
     * @param string|null $left     the place they left, where they may be at another by now; null: any
     */
    public function seenAt(string $person, ?string $place, int $at, ?string $lessonId, ?string $left = null): void
    {
        $isNews = $this->db->executeStatement(
            'INSERT INTO presence (student_id, service_place, service_at) VALUES (:id, :place, :at)
             ON CONFLICT (student_id) DO UPDATE SET service_place = :place, service_at = :at
               WHERE (presence.service_at IS NULL OR presence.service_at <= :at)
                 AND (:left::text IS NULL OR presence.service_place = :left)',
            [
                'id' => $person,
                'place' => $place,
                'at' => $at,
                'left' => $left,
            ],
        );
        if (0 === $isNews) {
            return; // nobody is told what is not so any more
        }
        $this->stream->publish([Audience::student($person)], new SeenMessage($place));
        if (null !== $lessonId) {
            $this->tasks->schedule(WatchTaskHandler::WATCH, $lessonId);
        }
    }

    /**
     * @return array<string, Evidence> by student, for those of whom anything is known
     */
    public function ofClass(string $classId): array
    {
        $evidence = [];
        foreach (
            Row::all(
                $this->db->fetchAllAssociative(
                    'SELECT p.* FROM presence p JOIN student s ON s.id = p.student_id WHERE s.class_id = ?
                        AND s.removed_at IS NULL',
                    [$classId],
                ),
            ) as $row
        ) {
            $evidence[$row->text('student_id')] = new Evidence(
                $row->textOrNull('service_place'),
                $row->intOrNull('service_at'),
                $row->textOrNull('link_place'),
                $row->intOrNull('link_at'),
                $row->intOrNull('page_at'),
            );
        }

        return $evidence;
    }

    /**
     * Where those of a class who have given a sign were last, by the events of a lesson.
     *
     * @return array<string, Event|null> by student; null: nothing has been noted of them
     */
    public function noted(string $classId, string $lessonId): array
    {
        $noted = [];
        foreach (
            Row::all(
                $this->db->fetchAllAssociative(
                    'SELECT p.student_id, e.at, e.data FROM presence p JOIN student s ON s.id = p.student_id
                     LEFT JOIN LATERAL (SELECT e.at, e.data FROM live_event e WHERE e.lesson_id = ?
                       AND e.student_id = p.student_id AND e.kind = ? ORDER BY e.seq DESC LIMIT 1) e ON true
                     WHERE s.class_id = ?',
                    [$lessonId, EventKind::WhereaboutsChanged->value, $classId],
                ),
            ) as $row
        ) {
            $student = $row->text('student_id');
            /** @var array<string, string|null> $data */
            $data = null === $row->textOrNull('data') ? [] : $row->json('data');
            $noted[$student] =
                null === $row->intOrNull('at')
                    ? null
                    : new Event(EventKind::WhereaboutsChanged, $row->int('at'), ['student' => $student] + $data);
        }

        return $noted;
    }

    /**
     * @return int|null when anybody of the class last gave a sign; milliseconds since 1970
     */
    public function lastSign(string $classId): ?int
    {
        $last = $this->db->fetchOne(
            'SELECT MAX(GREATEST(p.page_at, p.service_at, p.link_at)) FROM presence p
                JOIN student s ON s.id = p.student_id WHERE s.class_id = ?',
            [$classId],
        );

        return is_numeric($last) ? (int) $last : null;
    }
}
