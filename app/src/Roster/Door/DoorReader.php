<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Door;

use Doctrine\DBAL\Connection;
use Doctrine\DBAL\ParameterType;
use FreshHuddle\App\Database\Row;

/**
 * What the door asks of a class. By hand, in a round trip each (one more where names stand at the door): strangers
 * ask too, and a whole class within a minute.
 */
final readonly class DoorReader
{
    public function __construct(private Connection $db, private WatchedLessons $lessons)
    {
    }

    /**
     * @param string $doorWord   as it is kept
     * @param bool   $isPractice a simulated student asks: they come into practice, and nobody else does
     *
     * @return array{id: string, name: string, listed: bool, mode: DoorMode}|null listed: its names stand at the door to
     *     be pressed
     */
    public function classBehind(string $doorWord, bool $isPractice = false): ?array
    {
        $row = $this->db->fetchAssociative(
            'SELECT c.id, c.name, c.door, c.names_at_door, c.current_lesson_id AS lesson FROM school_class c
             WHERE c.door_word = ? AND c.archived_at IS NULL AND c.removed_at IS NULL AND c.is_practice = ?',
            [$doorWord, $isPractice],
            [1 => ParameterType::BOOLEAN],
        );
        if (false === $row) {
            return null;
        }
        $row = new Row($row);
        $lesson = $row->textOrNull('lesson');

        return [
            'id' => $row->text('id'),
            'name' => $row->text('name'),
            'listed' => $row->bool('names_at_door') && null !== $lesson && $this->lessons->isWatched($lesson),
            'mode' => DoorMode::from($row->text('door')),
        ];
    }

    /**
     * @return list<NameAtDoor> in the order of the list
     */
    public function list(string $classId): array
    {
        return array_map(
            static fn (Row $row): NameAtDoor => new NameAtDoor(
                $row->text('id'),
                $row->text('name'),
                $row->bool('taken'),
                $row->bool('young') ? $row->intOrNull('picture') : null,
            ),
            Row::all(
                $this->db->fetchAllAssociative(
                    'SELECT s.id, s.name, s.picture, c.cannot_read_yet AS young, (SELECT COUNT(*)
                        FROM student_device d WHERE d.student_id = s.id
                        AND d.until > now()) >= CASE WHEN c.two_devices THEN 2 ELSE 1 END AS taken
                 FROM student s JOIN school_class c ON c.id = s.class_id WHERE s.class_id = ? AND s.removed_at IS NULL
                   ORDER BY s.position, s.id',
                    [$classId],
                ),
            ),
        );
    }

    /**
     * @return array<string, list<string>> id => the name on the list, then others the student has come in with
     */
    public function names(string $classId): array
    {
        $names = [];
        foreach (
            Row::all(
                $this->db->fetchAllAssociative(
                    'SELECT s.id, s.name FROM student s WHERE s.class_id = :class AND s.removed_at IS NULL
             UNION ALL SELECT s.id, o.name FROM student_name o JOIN student s ON s.id = o.student_id
               WHERE s.class_id = :class AND s.removed_at IS NULL',
                    ['class' => $classId],
                ),
            ) as $row
        ) {
            $names[$row->text('id')][] = $row->text('name');
        }

        return $names;
    }
}
