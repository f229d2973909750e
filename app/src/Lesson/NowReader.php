<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Row;
use FreshHuddle\App\Lesson\Round\Moments;
use FreshHuddle\Core\Lesson\LessonTime;
use FreshHuddle\Core\Lesson\SegmentKind;

/**
 * Where a lesson is. By hand, in one round trip: every page of a class asks at every hint.
 */
final readonly class NowReader
{
    public function __construct(private Connection $db)
    {
    }

    /**
     * The lesson a class is in; null: none.
     */
    public function ofClass(string $classId): ?LessonNow
    {
        $lesson = $this->db->fetchOne('SELECT current_lesson_id FROM school_class WHERE id = ?', [$classId]);

        return \is_string($lesson) ? $this->forLesson($lesson) : null;
    }

    public function forLesson(string $lessonId): ?LessonNow
    {
        $row = $this->db->fetchAssociative(
            "SELECT l.class_id, l.title, l.segment_since, l.ended_at, l.begun_at, l.minutes AS lesson_minutes,
                c.current_lesson_id = l.id AS current, c.is_practice,
                    (EXTRACT(EPOCH FROM l.watched_at) * 1000)::bigint AS watched_at, (EXTRACT(EPOCH
                      FROM l.starts_at) * 1000)::bigint AS starts_at, n.kind, n.minutes, n.position,
                      COALESCE(n.instructions, r.instructions, '')
                      AS instructions, r.id AS round_id, r.grouping_id, ".Moments::COLUMNS.',
                    (SELECT u.id FROM run u WHERE u.round_id = r.id AND NOT u.taken_back ORDER BY u.attempt DESC
                      LIMIT 1) AS run_id
             FROM lesson l JOIN school_class c ON c.id = l.class_id LEFT JOIN segment n ON n.id = l.segment_id
             LEFT JOIN LATERAL (
                 SELECT r.id, r.grouping_id, '.Moments::COLUMNS.', s.instructions FROM round r
                   JOIN segment s ON s.id = r.segment_id
                 WHERE r.lesson_id = l.id AND r.number IS NOT NULL AND (l.segment_id IS NULL OR s.id = l.segment_id
                   OR (s.position < n.position AND r.out_at IS NOT NULL))
                 ORDER BY CASE WHEN l.segment_id IS NULL THEN r.number ELSE -r.number END LIMIT 1
             ) r ON true WHERE l.id = ? AND l.removed_at IS NULL',
            [$lessonId],
        );
        if (false === $row) {
            return null;
        }
        $row = new Row($row);
        $kind = $row->textOrNull('kind');

        return new LessonNow(
            $lessonId,
            $row->text('class_id'),
            $row->text('title'),
            null === $kind ? null : SegmentKind::from($kind),
            $row->intOrNull('segment_since'),
            $row->intOrNull('minutes') ?? 0,
            $row->text('instructions'),
            $row->textOrNull('round_id'),
            $row->textOrNull('grouping_id'),
            null === $row->textOrNull('round_id') ? null : Moments::fromRow($row),
            $row->bool('current'),
            $row->intOrNull('ended_at'),
            $row->intOrNull('watched_at'),
            new LessonTime(
                $row->intOrNull('starts_at'),
                $row->int('lesson_minutes'),
                $row->intOrNull('begun_at'),
                $row->intOrNull('ended_at'),
            ),
            $row->textOrNull('run_id'),
            $row->intOrNull('position'),
            $row->bool('is_practice'),
        );
    }
}
