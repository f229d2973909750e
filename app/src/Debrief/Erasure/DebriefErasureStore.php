<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\Erasure;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Row;
use FreshHuddle\Core\Roster\Erasure\FormerMember;

/**
 * Takes a student out of what the class has talked about. By hand: only texts that name somebody are written.
 */
final readonly class DebriefErasureStore
{
    private const TEXTS = [
        [
            'gallery_remark',
            'SELECT t.id, t.text FROM gallery_remark t JOIN gallery g ON g.id = t.gallery_id
                JOIN lesson l ON l.id = g.lesson_id WHERE l.class_id = ?',
            140,
        ],
        [
            'quick_question',
            'SELECT t.id, t.text FROM quick_question t JOIN lesson l ON l.id = t.lesson_id WHERE l.class_id = ?',
            200,
        ],
        [
            'answer_apart',
            'SELECT t.id, t.text FROM answer_apart t JOIN round r ON r.id = t.round_id
                JOIN lesson l ON l.id = r.lesson_id WHERE l.class_id = ?',
            20_000,
        ],
    ];

    public function __construct(private Connection $db)
    {
    }

    public function forget(string $classId, FormerMember $student): void
    {
        $this->db->executeStatement(
            'DELETE FROM hold_up WHERE owner = ? OR frozen::text LIKE ? OR copy_id IN (SELECT id FROM work_copy
                WHERE student_id = ?)',
            [$student->id, "%{$student->id}%", $student->id],
        );
        foreach (self::TEXTS as [$table, $query, $most]) {
            foreach (Row::all($this->db->fetchAllAssociative($query, [$classId])) as $row) {
                $clean = $student->text($row->text('text'));
                if ($clean !== $row->text('text')) {
                    $this->db->update($table, ['text' => mb_substr($clean, 0, $most)], ['id' => $row->text('id')]);
                }
            }
        }
        foreach (
            Row::all(
                $this->db->fetchAllAssociative(
                    'SELECT a.question_id, a.student_id, a.value FROM quick_answer a
                        JOIN quick_question q ON q.id = a.question_id JOIN lesson l ON l.id = q.lesson_id
                     WHERE l.class_id = ?',
                    [$classId],
                ),
            ) as $row
        ) {
            $clean = $student->text($row->text('value'));
            if ($clean !== $row->text('value')) {
                $this->db->update(
                    'quick_answer',
                    ['value' => mb_substr($clean, 0, 200)],
                    ['question_id' => $row->text('question_id'), 'student_id' => $row->text('student_id')],
                );
            }
        }
    }
}
