<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\Calling;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Row;
use FreshHuddle\Core\Debrief\Calling\Candidate;
use FreshHuddle\Core\Lesson\EventKind;
use FreshHuddle\Core\Live\Place;

/**
 * How often students of a class were present and called on. By hand: a whole class over a whole term in one round trip.
 */
final readonly class CandidateReader
{
    public function __construct(private Connection $db)
    {
    }

    /**
     * @param list<string> $students of the class who are present in this lesson
     *
     * @return list<Candidate>
     */
    public function candidates(string $lessonId, array $students): array
    {
        return array_map(
            static fn (Row $row): Candidate => new Candidate(
                $row->text('id'),
                1 + $row->int('lessons'),
                $row->int('called'),
            ),
            Row::all(
                $this->db->fetchAllAssociative(
                    "SELECT s.id,
                        (SELECT COUNT(*) FROM lesson l WHERE l.class_id = s.class_id AND l.begun_at IS NOT NULL
                          AND NOT l.template AND l.removed_at IS NULL AND l.id <> :lesson
                          AND EXISTS (SELECT 1 FROM live_event e WHERE e.lesson_id = l.id AND e.student_id = s.id
                            AND e.kind = :seen AND e.data ->> 'place' NOT IN (:lost, :excused))) AS lessons,
                        (SELECT COUNT(*) FROM student_call c JOIN lesson l ON l.id = c.lesson_id
                          WHERE c.student_id = s.id AND c.state <> :passed AND l.removed_at IS NULL) AS called
                     FROM student s WHERE s.id = ANY(:students::uuid[]) AND s.seatable AND s.removed_at IS NULL",
                    [
                        'lesson' => $lessonId,
                        'students' => '{'.implode(',', $students).'}',
                        'seen' => EventKind::WhereaboutsChanged->value,
                        'lost' => Place::Lost->value,
                        'excused' => Place::Excused->value,
                        'passed' => CallState::Passed->value,
                    ],
                ),
            ),
        );
    }

    /**
     * @return array<string, array{group: string, role: string}> by student: where they sit, or sat last, in a round
     */
    public function seats(string $roundId): array
    {
        $seats = [];
        foreach (
            Row::all(
                $this->db->fetchAllAssociative(
                    'SELECT s.student_id, COALESCE(g.group_id, g.id) AS group_id, s.role FROM run_last_seat s
                        JOIN run_group g ON g.id = s.run_group_id
                     WHERE s.run_id = (SELECT id FROM run WHERE round_id = ? AND NOT taken_back
                       ORDER BY attempt DESC LIMIT 1)',
                    [$roundId],
                ),
            ) as $row
        ) {
            $seats[$row->text('student_id')] = ['group' => $row->text('group_id'), 'role' => $row->text('role')];
        }

        return $seats;
    }

    /**
     * @return string|null who was called on last in a class, in whatever lesson
     */
    public function last(string $classId): ?string
    {
        $last = $this->db->fetchOne(
            'SELECT c.student_id FROM student_call c JOIN lesson l ON l.id = c.lesson_id WHERE l.class_id = ?
                ORDER BY c.at DESC, c.number DESC LIMIT 1',
            [$classId],
        );

        return \is_string($last) ? $last : null;
    }
}
