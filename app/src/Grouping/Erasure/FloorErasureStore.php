<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Erasure;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Row;
use FreshHuddle\Core\Roster\Erasure\FormerMember;

/**
 * Takes a student out of all floors that are kept. By hand: they are documents, and only those with this student in
 * them are read.
 */
final readonly class FloorErasureStore
{
    public function __construct(private Connection $db)
    {
    }

    public function forget(string $classId, FormerMember $student): void
    {
        foreach (['floor_step' => ['grouping_id', 'number'], 'floor_variant' => ['id']] as $table => $keys) {
            foreach (
                Row::all(
                    $this->db->fetchAllAssociative(
                        "SELECT t.* FROM {$table} t JOIN grouping g ON g.id = t.grouping_id
                         WHERE g.class_id = ? AND t.floor::text LIKE ?",
                        [$classId, "%{$student->id}%"],
                    ),
                ) as $row
            ) {
                $this->db->update(
                    $table,
                    ['floor' => json_encode($student->without($row->json('floor')), \JSON_THROW_ON_ERROR)],
                    array_combine($keys, array_map($row->text(...), $keys)),
                );
            }
        }
    }

    public function forgetClass(string $classId): void
    {
        $this->db->executeStatement('DELETE FROM grouping WHERE class_id = ?', [$classId]);
    }
}
