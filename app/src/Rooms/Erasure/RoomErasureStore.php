<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Erasure;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Row;
use FreshHuddle\Core\Roster\Erasure\FormerMember;

/**
 * Takes a student out of the names of rooms. By hand: only names with this student in them are written.
 */
final readonly class RoomErasureStore
{
    public function __construct(private Connection $db)
    {
    }

    public function forget(string $classId, FormerMember $student): void
    {
        $rooms = [
            ['room', 'id', 'SELECT id AS key, name FROM room WHERE class_id = ?'],
            [
                'run_room',
                'run_group_id',
                'SELECT t.run_group_id AS key, t.name FROM run_room t JOIN run_group g ON g.id = t.run_group_id
                    JOIN run u ON u.id = g.run_id JOIN lesson l ON l.id = u.lesson_id WHERE l.class_id = ?',
            ],
        ];
        foreach ($rooms as [$table, $key, $query]) {
            foreach (Row::all($this->db->fetchAllAssociative($query, [$classId])) as $row) {
                $clean = $student->text($row->text('name'));
                if ($clean !== $row->text('name')) {
                    $this->db->update($table, ['name' => mb_substr($clean, 0, 120)], [$key => $row->text('key')]);
                }
            }
        }
    }

    public function forgetClass(string $classId): void
    {
        $this->db->executeStatement('DELETE FROM room WHERE class_id = ?', [$classId]);
    }
}
