<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Erasure;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Row;
use FreshHuddle\Core\Roster\Erasure\FormerMember;

/**
 * Takes a student out of the list of a class and what stands at its door. By hand: a rule is gone with its last pair.
 */
final readonly class ListErasureStore
{
    public function __construct(private Connection $db)
    {
    }

    /**
     * @return list<string> names they have come in with
     */
    public function aliases(string $studentId): array
    {
        return array_map(
            static fn (Row $row): string => $row->text('name'),
            Row::all(
                $this->db->fetchAllAssociative('SELECT name FROM student_name WHERE student_id = ?', [$studentId]),
            ),
        );
    }

    /**
     * @param list<string> $names all of them, also of one word
     */
    public function forget(string $classId, FormerMember $student, array $names): void
    {
        $this->db->executeStatement('DELETE FROM doorway_guest WHERE meant = ?', [$student->id]);
        foreach ($names as $name) {
            $this->db->executeStatement(
                'DELETE FROM doorway_guest WHERE class_id = ? AND lower(trim(typed)) = lower(?)',
                [$classId, $name],
            );
            $this->db->executeStatement('DELETE FROM ended_device WHERE lower(name) = lower(?)', [$name]);
        }
        $this->db->executeStatement('DELETE FROM class_rule_student WHERE student_id = ?', [$student->id]);
        $this->db->executeStatement(
            'DELETE FROM class_rule r WHERE r.class_id = ? AND (SELECT COUNT(*) FROM class_rule_student s
                WHERE s.rule_id = r.id) < 2',
            [$classId],
        );
    }
}
