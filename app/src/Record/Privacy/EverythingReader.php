<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record\Privacy;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Roster\Student;

/**
 * Everything that is kept about one student, from every area. By hand: a query for each place where something of them
 * can stand.
 */
final readonly class EverythingReader
{
    /** What stands about them, by what it is called in the file; `?` is their id. */
    private const PARTS = [
        'list' => 'SELECT name, school_id, email, seat_table, attributes, tags, absent, guest, picture, removed_at
            FROM student WHERE id = :id',
        'namesTheyCameInWith' => 'SELECT name FROM student_name WHERE student_id = :id',
        'devices' => 'SELECT claimed_at, until FROM student_device WHERE student_id = :id',
        'rules' => 'SELECT r.kind, (SELECT jsonb_agg(s.name) FROM class_rule_student o JOIN student s
            ON s.id = o.student_id WHERE o.rule_id = r.id) AS students FROM class_rule r
            JOIN class_rule_student m ON m.rule_id = r.id WHERE m.student_id = :id',
        'wishes' => 'SELECT s.name AS wished_for FROM wish w JOIN student s ON s.id = w.wished_for_id
            WHERE w.student_id = :id',
        'groups' => 'SELECT l.title AS lesson, u.out_at, g.last_name AS group, s.number, s.role, s.task
            FROM run_last_seat s JOIN run u ON u.id = s.run_id JOIN run_group g ON g.id = s.run_group_id
            JOIN lesson l ON l.id = u.lesson_id WHERE s.student_id = :id ORDER BY u.out_at',
        'whatHappened' => 'SELECT l.title AS lesson, e.kind, e.at, e.data FROM live_event e
            JOIN lesson l ON l.id = e.lesson_id WHERE e.student_id = :id OR e.actor_id = :id ORDER BY e.at, e.seq',
        'presence' => 'SELECT page_at, link_place, link_at, service_place, service_at FROM presence
            WHERE student_id = :id',
        'answers' => 'SELECT l.title AS lesson, c.title AS worksheet, a.slot, a.text, a.at FROM slot_answer a
            JOIN work_copy c ON c.id = a.copy_id JOIN round r ON r.id = c.round_id JOIN lesson l ON l.id = r.lesson_id
            WHERE a.owner = :id OR a.author = :id OR c.student_id = :id ORDER BY a.at',
        'earlierAnswers' => 'SELECT l.title AS lesson, c.title AS worksheet, a.slot, a.text, a.at FROM slot_revision a
            JOIN work_copy c ON c.id = a.copy_id JOIN round r ON r.id = c.round_id JOIN lesson l ON l.id = r.lesson_id
            WHERE a.owner = :id OR a.author = :id OR c.student_id = :id ORDER BY a.at',
        'notesOnTheirAnswers' => 'SELECT n.slot, n.text, n.at, n.answer FROM margin_note n WHERE n.owner = :id
            OR n.answered_by = :id ORDER BY n.at',
        'picturesAndRecordings' => 'SELECT m.id, m.type, m.made_at FROM copy_media u JOIN media m ON m.id = u.media_id
            WHERE u.by_id = :id',
        'calledOn' => 'SELECT l.title AS lesson, c.at, c.state FROM student_call c JOIN lesson l ON l.id = c.lesson_id
            WHERE c.student_id = :id ORDER BY c.at',
        'quickAnswers' => 'SELECT q.text AS question, a.value, a.at FROM quick_answer a JOIN quick_question q
            ON q.id = a.question_id WHERE a.student_id = :id ORDER BY a.at',
        'remarks' => 'SELECT text, at FROM gallery_remark WHERE student_id = :id ORDER BY at',
        'correctedFigures' => 'SELECT l.title AS lesson, f.figure, f.value, f.at FROM figure_correction f
            JOIN lesson l ON l.id = f.lesson_id WHERE f.student_id = :id ORDER BY f.at',
        'letters' => 'SELECT kind, address, due_at, arrived, at FROM sent WHERE target = :id ORDER BY at',
    ];

    public function __construct(private Connection $db)
    {
    }

    /**
     * @return array<string, list<array<string, mixed>>> rows by part; JSON as data
     */
    public function read(Student $student): array
    {
        return array_map(
            fn (string $query): array => array_map(
                self::plain(...),
                $this->db->fetchAllAssociative($query, ['id' => $student->id]),
            ),
            self::PARTS,
        );
    }

    /**
     * @param array<string, mixed> $row
     *
     * @return array<string, mixed>
     */
    private static function plain(array $row): array
    {
        foreach (['data', 'attributes', 'tags', 'students'] as $column) {
            if (\is_string($row[$column] ?? null)) {
                $row[$column] = json_decode($row[$column], true, 32, \JSON_THROW_ON_ERROR);
            }
        }

        return $row;
    }
}
