<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Database\Row;
use FreshHuddle\App\Live\LessonSummary;

/**
 * Reads classes for the screen.
 */
final readonly class ClassViews
{
    public function __construct(private Connection $db)
    {
    }

    /**
     * @return list<ClassSummary> newest first
     */
    public function all(Teacher $teacher): array
    {
        $rows = Row::all($this->db->fetchAllAssociative(
            'SELECT c.id, c.name, c.code, (SELECT COUNT(*) FROM student s WHERE s.class_id = c.id AND s.removed_at IS NULL) AS students
             FROM school_class c WHERE c.teacher_id = ? ORDER BY c.id DESC',
            [$teacher->id],
        ));

        return array_map(fn (Row $row): ClassSummary => new ClassSummary(
            $row->text('id'),
            $row->text('name'),
            $row->text('code'),
            $row->int('students'),
            $this->lessons($row->text('id')),
        ), $rows);
    }

    public function one(SchoolClass $class): ClassView
    {
        return new ClassView($class->id, $class->name, $class->code, $this->students($class->id), $this->lessons($class->id));
    }

    /**
     * @return list<StudentView>
     */
    public function students(string $classId): array
    {
        return array_map(
            static fn (Row $row): StudentView => new StudentView($row->text('id'), $row->text('name'), $row->bool('absent'), $row->bool('claimed')),
            Row::all($this->db->fetchAllAssociative(
                'SELECT s.id, s.name, s.absent, d.student_id IS NOT NULL AS claimed
                 FROM student s LEFT JOIN student_device d ON d.student_id = s.id
                 WHERE s.class_id = ? AND s.removed_at IS NULL ORDER BY s.position, s.id',
                [$classId],
            )),
        );
    }

    /**
     * @return list<LessonSummary>
     */
    private function lessons(string $classId): array
    {
        return array_map(
            static fn (Row $row): LessonSummary => new LessonSummary($row->text('id'), $row->text('title'), $row->int('minutes'), $row->bool('current')),
            Row::all($this->db->fetchAllAssociative(
                'SELECT l.id, l.title, l.minutes, COALESCE(c.current_lesson_id = l.id, false) AS current
                 FROM lesson l JOIN school_class c ON c.id = l.class_id WHERE l.class_id = ? ORDER BY l.id DESC',
                [$classId],
            )),
        );
    }
}
