<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Erasure;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\TextStore;
use FreshHuddle\Core\Roster\Erasure\FormerMember;

/**
 * Takes a student out of the names of rooms. By hand: only names with this student in them are written.
 */
final readonly class RoomErasureStore
{
    public function __construct(private Connection $db, private TextStore $texts)
    {
    }

    public function forget(string $classId, FormerMember $student): void
    {
        $this->texts->rewrite(
            'room',
            ['id'],
            ['name' => 120],
            'WHERE t.class_id = :class',
            ['class' => $classId],
            $student->text(...),
        );
        $this->texts->rewrite(
            'run_room',
            ['run_group_id'],
            ['name' => 120],
            'JOIN run_group g ON g.id = t.run_group_id JOIN run u ON u.id = g.run_id
                JOIN lesson l ON l.id = u.lesson_id WHERE l.class_id = :class',
            ['class' => $classId],
            $student->text(...),
        );
    }

    public function forgetClass(string $classId): void
    {
        $this->db->executeStatement('DELETE FROM room WHERE class_id = ?', [$classId]);
    }
}
