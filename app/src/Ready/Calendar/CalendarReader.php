<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\Calendar;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Row;
use FreshHuddle\Core\Lesson\SegmentKind;
use FreshHuddle\Core\Ready\Calendar\Entry;
use FreshHuddle\Core\Ready\Calendar\LessonEntries;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/**
 * What stands in a teacher's calendar. By hand: a calendar asks for all lessons of all classes at once, every hour or
 * so.
 */
final readonly class CalendarReader
{
    private const LESSONS = "SELECT l.id, l.title, c.name AS class, c.door_word,
        (EXTRACT(EPOCH FROM l.starts_at) * 1000)::bigint AS start, l.minutes, m.id AS main,
        s.id AS segment, s.kind, s.minutes AS segment_minutes, r.id AS round, w.id AS work_group,
        COALESCE(k.name, w.name) AS room_name, k.id AS room, k.source
        FROM lesson l JOIN school_class c ON c.id = l.class_id LEFT JOIN class_staff f ON f.class_id = c.id
        AND f.teacher_id = :teacher
        LEFT JOIN segment s ON s.lesson_id = l.id AND s.position IS NOT NULL
        LEFT JOIN round r ON r.segment_id = s.id LEFT JOIN work_group w ON w.grouping_id = r.grouping_id
        AND w.position IS NOT NULL
        LEFT JOIN room k ON k.group_id = w.id AND k.state NOT IN ('planned', 'failed')
        LEFT JOIN room m ON m.class_id = c.id AND m.purpose = 'main' AND m.state NOT IN ('planned', 'failed')
        AND m.source <> 'classroom'
        WHERE (c.teacher_id = :teacher OR f.teacher_id IS NOT NULL) AND c.removed_at IS NULL
        AND NOT c.is_practice AND c.archived_at IS NULL AND l.removed_at IS NULL AND NOT l.template
        AND l.starts_at > to_timestamp(:from) AND (:lesson::uuid IS NULL OR l.id = :lesson)
        ORDER BY l.starts_at, l.id, s.position, w.position";

    /** What is longer ago is let go of. Milliseconds: 60 days. */
    public const KEEPS = 60 * 86_400_000;

    public function __construct(private Connection $db, #[Autowire('%env(PUBLIC_URL)%')] private string $publicUrl)
    {
    }

    /**
     * @param int         $now       milliseconds since 1970
     * @param string|null $lessonId  that lesson alone
     * @param bool        $withRooms rooms as entries of their own, too
     *
     * @return list<Entry>
     */
    public function entries(string $teacherId, int $now, ?string $lessonId = null, bool $withRooms = false): array
    {
        $lessons = [];
        $order = [];
        foreach (
            Row::all(
                $this->db->fetchAllAssociative(
                    self::LESSONS,
                    ['teacher' => $teacherId, 'from' => intdiv($now - self::KEEPS, 1_000), 'lesson' => $lessonId],
                ),
            ) as $row
        ) {
            $id = $row->text('id');
            $lessons[$id] ??= [
                'id' => $id,
                'title' => $row->text('title'),
                'class' => $row->text('class'),
                'start' => $row->int('start'),
                'minutes' => $row->int('minutes'),
                'where' => $this->way($row->textOrNull('main')),
                'text' => "{$this->publicUrl}/student · {$row->text('door_word')}",
            ];
            $segment = $row->textOrNull('segment');
            if (null === $segment) {
                continue;
            }
            $order[$id][$segment] ??= [
                'kind' => SegmentKind::from($row->text('kind')),
                'minutes' => $row->int('segment_minutes'),
                'round' => $row->textOrNull('round'),
                'rooms' => [],
            ];
            if (null !== $row->textOrNull('work_group')) {
                $isPlace = 'classroom' === $row->textOrNull('source');
                $order[$id][$segment]['rooms'][] = [
                    'group' => $row->text('work_group'),
                    'name' => $row->text('room_name'),
                    'where' => $isPlace ? $row->text('room_name') : $this->way($row->textOrNull('room')),
                ];
            }
        }

        return array_merge(
            [],
            ...array_map(
                static fn (array $lesson): array => LessonEntries::forLesson(
                    $lesson,
                    array_values($order[$lesson['id']] ?? []),
                    $withRooms,
                ),
                array_values($lessons),
            ),
        );
    }

    /** The teacher's own way in: a link that is no use to anybody else. */
    private function way(?string $roomId): string
    {
        return null === $roomId ? '' : "{$this->publicUrl}/api/staff/rooms/{$roomId}/way";
    }
}
