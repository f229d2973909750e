<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Speech;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Row;
use FreshHuddle\App\Rooms\RoomReader;

/**
 * Microphones that are open, and how long students have spoken. By hand: in a school of a thousand who talk, somebody
 * begins or stops fifty times a second, and each of it is one statement.
 */
final readonly class SpeechStore
{
    /** Longer than this without a pause nobody speaks: the media server did not say when they stopped. Milliseconds. */
    private const LONGEST = 120_000;

    public function __construct(private Connection $db, private RoomReader $rooms)
    {
    }

    /**
     * A student sends sound from now on, or other sound than before.
     *
     * @param list<string> $sounds
     */
    public function opened(string $student, string $room, array $sounds): void
    {
        $this->db->executeStatement(
            'INSERT INTO open_microphone (student_id, room, sounds) SELECT s.id, :room, :sounds FROM student s
                WHERE s.id = :student
             ON CONFLICT (student_id) DO UPDATE SET room = :room, sounds = :sounds,
                speaks_since = CASE WHEN open_microphone.room = :room THEN open_microphone.speaks_since END',
            ['student' => $student, 'room' => $room, 'sounds' => json_encode($sounds, \JSON_THROW_ON_ERROR)],
        );
    }

    /**
     * @param int $at milliseconds since 1970
     */
    public function began(string $student, string $room, int $at): void
    {
        $this->db->executeStatement(
            'UPDATE open_microphone SET speaks_since = COALESCE(speaks_since, ?) WHERE student_id = ? AND room = ?',
            [$at, $student, $room],
        );
    }

    /**
     * They are silent again: what they have said is counted for the lesson that is on.
     *
     * @param int $at milliseconds since 1970
     */
    public function stopped(string $student, string $room, int $at): void
    {
        $class = $this->db->fetchOne('SELECT class_id FROM student WHERE id = ?', [$student]);
        $place = \is_string($class) ? $this->rooms->place($class, $room) : null;
        $this->db->executeStatement(
            'WITH spoke AS (
                UPDATE open_microphone m SET speaks_since = NULL
                FROM (SELECT student_id, speaks_since FROM open_microphone WHERE student_id = :student FOR UPDATE) b
                WHERE m.student_id = b.student_id AND m.room = :room AND b.speaks_since IS NOT NULL
                RETURNING b.speaks_since AS since)
             INSERT INTO spoken (lesson_id, student_id, place, milliseconds)
                SELECT c.current_lesson_id, s.id, :place, LEAST(GREATEST(:at - spoke.since, 0), :longest)
                FROM spoke, student s JOIN school_class c ON c.id = s.class_id
                JOIN lesson l ON l.id = c.current_lesson_id AND l.ended_at IS NULL
                WHERE s.id = :student AND :place::text IS NOT NULL
             ON CONFLICT (lesson_id, student_id, place)
                DO UPDATE SET milliseconds = spoken.milliseconds + EXCLUDED.milliseconds',
            ['student' => $student, 'room' => $room, 'at' => $at, 'place' => $place, 'longest' => self::LONGEST],
        );
    }

    /**
     * They send nothing any more.
     *
     * @param int $at milliseconds since 1970
     */
    public function closed(string $student, string $room, int $at): void
    {
        $this->stopped($student, $room, $at);
        $this->db->delete('open_microphone', ['student_id' => $student, 'room' => $room]);
    }

    /**
     * @return list<array{room: string, student: string, sounds: list<string>}>
     */
    public function inMainSession(string $classId): array
    {
        $microphones = [];
        foreach (
            Row::all(
                $this->db->fetchAllAssociative(
                    "SELECT m.room, m.student_id, m.sounds FROM open_microphone m
                        JOIN room r ON r.external_id = m.room AND r.class_id = :class AND r.purpose = 'main'
                     ORDER BY m.student_id",
                    ['class' => $classId],
                ),
            ) as $row
        ) {
            $microphones[] = [
                'room' => $row->text('room'),
                'student' => $row->text('student_id'),
                'sounds' => array_values(array_filter($row->json('sounds'), is_string(...))),
            ];
        }

        return $microphones;
    }
}
