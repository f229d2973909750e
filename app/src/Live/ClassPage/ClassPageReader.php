<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\ClassPage;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Row;

/**
 * What stands on a class page. By hand: one round trip each, asked for every few seconds.
 */
final readonly class ClassPageReader
{
    public function __construct(private Connection $db)
    {
    }

    /**
     * @return array{name: string, doorWord: string}
     */
    public function schoolClass(string $classId): array
    {
        $row = $this->db->fetchAssociative('SELECT name, door_word FROM school_class WHERE id = ?', [$classId]);
        $row = new Row(false === $row ? throw new \LogicException('A lesson without a class.') : $row);

        return ['name' => $row->text('name'), 'doorWord' => $row->text('door_word')];
    }

    /**
     * @return int|null how often its address has been renewed; null where the lesson or its class is gone, or put away
     */
    public function number(string $lessonId): ?int
    {
        $number = $this->db->fetchOne(
            'SELECT l.class_page_number FROM lesson l JOIN school_class c ON c.id = l.class_id WHERE l.id = ?
                AND l.removed_at IS NULL AND c.removed_at IS NULL AND c.archived_at IS NULL',
            [$lessonId],
        );

        return \is_int($number) ? $number : null;
    }

    public function channel(string $lessonId): string
    {
        $channel = $this->db->fetchOne('SELECT class_page_channel FROM lesson WHERE id = ?', [$lessonId]);

        return \is_string($channel) ? $channel : throw new \LogicException('A lesson without a channel.');
    }

    /**
     * @return list<ClassPageGroup> in order, those in which nobody sits among them
     */
    public function groups(string $groupingId): array
    {
        $rows = Row::all(
            $this->db->fetchAllAssociative(
                'SELECT g.id, g.name, g.mark, t.name AS student FROM work_group g LEFT JOIN seat s ON s.group_id = g.id
             LEFT JOIN student t ON t.id = s.student_id AND t.removed_at IS NULL AND NOT t.absent
             WHERE g.grouping_id = ? AND g.position IS NOT NULL ORDER BY g.position, s.number',
                [$groupingId],
            ),
        );
        $groups = $names = [];
        foreach ($rows as $row) {
            $groups[$row->text('id')] = $row;
            $student = $row->textOrNull('student');
            if (null !== $student) {
                $names[$row->text('id')][] = $student;
            }
        }

        return array_values(
            array_map(
                static fn (Row $group): ClassPageGroup => new ClassPageGroup(
                    $group->text('name'),
                    $group->int('mark'),
                    $names[$group->text('id')] ?? [],
                ),
                $groups,
            ),
        );
    }
}
