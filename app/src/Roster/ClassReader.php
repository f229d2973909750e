<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Database\Row;
use FreshHuddle\App\Roster\Column\AttributeValue;
use FreshHuddle\App\Roster\Column\AttributeView;
use FreshHuddle\App\Roster\Rule\ClassRules;
use FreshHuddle\App\Roster\Staff\StaffRole;

/**
 * Classes and their lists, for the screen. By hand: a list of up to 1,200 is read with who has come in, in one round
 * trip, by every page that shows a class and by every look the worker takes.
 */
final readonly class ClassReader
{
    public function __construct(private Connection $db, private ClassRules $rules)
    {
    }

    /**
     * @return list<ClassSummary> newest first
     */
    public function all(Teacher $teacher): array
    {
        $rows = Row::all(
            $this->db->fetchAllAssociative(
                'SELECT c.id, c.name, c.door_word, c.archived_at IS NOT NULL AS archived, (SELECT COUNT(*)
                    FROM student s WHERE s.class_id = c.id AND s.removed_at IS NULL AND s.seatable) AS students,
                    CASE WHEN c.teacher_id = :me THEN :owner ELSE m.role END AS role
             FROM school_class c LEFT JOIN class_staff m ON m.class_id = c.id AND m.teacher_id = :me
               WHERE (c.teacher_id = :me OR m.teacher_id = :me) AND c.removed_at IS NULL AND NOT c.is_practice
               ORDER BY c.id DESC',
                ['me' => $teacher->id, 'owner' => StaffRole::Owner->value],
            ),
        );

        return array_map(
            static fn (Row $row): ClassSummary => new ClassSummary(
                $row->text('id'),
                $row->text('name'),
                $row->text('door_word'),
                $row->int('students'),
                $row->bool('archived'),
                StaffRole::from($row->text('role')),
            ),
            $rows,
        );
    }

    public function view(SchoolClass $class): ClassView
    {
        $students = $this->students($class->id);
        $tags = array_values(
            array_unique(
                array_merge(...array_map(static fn (StudentView $student): array => $student->tags, $students)),
            ),
        );
        $tables = array_values(
            array_unique(
                array_filter(
                    array_map(static fn (StudentView $student): ?string => $student->table, $students),
                    \is_string(...),
                ),
            ),
        );
        natcasesort($tags);
        natcasesort($tables);

        return new ClassView(
            $class->id,
            $class->name,
            $class->doorWord,
            null !== $class->archivedAt,
            $class->namesAtDoor,
            $class->cannotReadYet,
            $class->language,
            $class->twoDevices,
            $class->door,
            $students,
            AttributeView::fromStudents($students),
            array_values($tags),
            array_values($tables),
            $this->rules->forClass($class->id),
        );
    }

    /**
     * @return list<StudentView>
     */
    public function students(string $classId): array
    {
        return array_map(
            self::student(...),
            Row::all(
                $this->db->fetchAllAssociative(
                    'SELECT s.id, s.name, s.absent, s.seatable, s.school_id, s.email, s.seat_table, s.attributes,
                        s.tags, s.guest, s.guest_of, s.picture, EXISTS (SELECT 1 FROM student_device d
                        WHERE d.student_id = s.id AND d.until > now()) AS claimed
                 FROM student s
                 WHERE s.class_id = ? AND s.removed_at IS NULL ORDER BY s.position, s.id',
                    [$classId],
                ),
            ),
        );
    }

    private static function student(Row $row): StudentView
    {
        $attributes = [];
        foreach ($row->json('attributes') as $name => $value) {
            if (\is_scalar($value)) {
                $attributes[] = new AttributeValue((string) $name, (string) $value);
            }
        }

        return new StudentView(
            $row->text('id'),
            $row->text('name'),
            $row->bool('absent'),
            $row->bool('claimed'),
            $row->bool('seatable'),
            $row->textOrNull('school_id'),
            $row->textOrNull('seat_table'),
            $attributes,
            array_values(array_filter($row->json('tags'), \is_string(...))),
            $row->textOrNull('email'),
            $row->bool('guest'),
            $row->textOrNull('guest_of'),
            $row->intOrNull('picture'),
        );
    }
}
