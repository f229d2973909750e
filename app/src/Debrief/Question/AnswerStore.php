<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\Question;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Row;
use FreshHuddle\Core\Debrief\Sum\SourceAnswer;

/**
 * Keeps answers to quick questions. By hand: a whole class answers within seconds.
 */
final readonly class AnswerStore
{
    public function __construct(private Connection $db)
    {
    }

    /**
     * @param int $now milliseconds since 1970
     *
     * @return bool false if the question takes no answers from this student now
     */
    public function put(string $questionId, string $studentId, string $value, int $now): bool
    {
        return 0 < $this->db->executeStatement(
            'INSERT INTO quick_answer (question_id, student_id, value, at)
             SELECT q.id, s.id, :value, :now FROM quick_question q JOIN lesson l ON l.id = q.lesson_id
               JOIN student s ON s.class_id = l.class_id AND s.id = :student
             WHERE q.id = :question AND q.closed_at IS NULL AND l.ended_at IS NULL
             ON CONFLICT (question_id, student_id) DO UPDATE SET value = EXCLUDED.value, at = EXCLUDED.at',
            ['question' => $questionId, 'student' => $studentId, 'value' => $value, 'now' => $now],
        );
    }

    /**
     * @return string|null what the student has answered
     */
    public function find(string $questionId, string $studentId): ?string
    {
        $value = $this->db->fetchOne(
            'SELECT value FROM quick_answer WHERE question_id = ? AND student_id = ?',
            [$questionId, $studentId],
        );

        return \is_string($value) ? $value : null;
    }

    /**
     * @return list<SourceAnswer> in the order in which they were given
     */
    public function all(string $questionId): array
    {
        return array_map(
            static fn (Row $row): SourceAnswer => new SourceAnswer($row->text('student_id'), $row->text('value')),
            Row::all(
                $this->db->fetchAllAssociative(
                    'SELECT student_id, value FROM quick_answer WHERE question_id = ? ORDER BY at, student_id',
                    [$questionId],
                ),
            ),
        );
    }
}
