<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\Erasure;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\TextStore;
use FreshHuddle\Core\Roster\Erasure\FormerMember;

/**
 * Takes a student out of what the class has talked about. By hand: only texts that name somebody are written.
 */
final readonly class DebriefErasureStore
{
    private const OF_CLASS = 'JOIN lesson l ON l.id = q.lesson_id WHERE l.class_id = :class';
    /** Keys, a text and how long it can be, and which; by table. */
    private const TEXTS = [
        'gallery_remark' => [['id'], ['text' => 140], 'JOIN gallery q ON q.id = t.gallery_id '.self::OF_CLASS],
        'quick_question' => [
            ['id'],
            ['text' => 200],
            'JOIN lesson l ON l.id = t.lesson_id WHERE l.class_id = :class',
        ],
        'quick_answer' => [
            ['question_id', 'student_id'],
            ['value' => 200],
            'JOIN quick_question q ON q.id = t.question_id '.self::OF_CLASS,
        ],
        'answer_apart' => [['id'], ['text' => 20_000], 'JOIN round q ON q.id = t.round_id '.self::OF_CLASS],
    ];

    public function __construct(private Connection $db, private TextStore $texts)
    {
    }

    public function forget(string $classId, FormerMember $student): void
    {
        $this->db->executeStatement(
            'DELETE FROM hold_up WHERE owner = ? OR frozen::text LIKE ? OR copy_id IN (SELECT id FROM work_copy
                WHERE student_id = ?)',
            [$student->id, "%{$student->id}%", $student->id],
        );
        foreach (self::TEXTS as $table => [$keys, $columns, $which]) {
            $this->texts->rewrite($table, $keys, $columns, $which, ['class' => $classId], $student->text(...));
        }
    }
}
