<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson\Erasure;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Row;
use FreshHuddle\Core\Roster\Erasure\FormerMember;

/**
 * Takes a student out of instructions, prepared messages and names of groups. By hand: only texts that name somebody
 * are written.
 */
final readonly class PlanErasureStore
{
    private const TEXTS = [
        ['segment', 'instructions', 'JOIN lesson l ON l.id = t.lesson_id'],
        ['prepared_notice', 'text', 'JOIN round r ON r.id = t.round_id JOIN lesson l ON l.id = r.lesson_id'],
        ['run_group', 'last_name', 'JOIN run u ON u.id = t.run_id JOIN lesson l ON l.id = u.lesson_id'],
        ['run_group', 'name', 'JOIN run u ON u.id = t.run_id JOIN lesson l ON l.id = u.lesson_id'],
    ];

    public function __construct(private Connection $db)
    {
    }

    public function forget(string $classId, FormerMember $student): void
    {
        $this->history($classId, $student);
        foreach (self::TEXTS as [$table, $column, $join]) {
            foreach (
                Row::all(
                    $this->db->fetchAllAssociative(
                        "SELECT t.id, t.{$column} AS text FROM {$table} t {$join} WHERE l.class_id = ?",
                        [$classId],
                    ),
                ) as $row
            ) {
                $clean = $student->text($row->text('text'));
                if ($clean !== $row->text('text')) {
                    $this->db->update($table, [$column => $clean], ['id' => $row->text('id')]);
                }
            }
        }
    }

    /**
     * Groups from before the class came here.
     */
    private function history(string $classId, FormerMember $student): void
    {
        foreach (
            Row::all(
                $this->db->fetchAllAssociative(
                    'SELECT id, groups_then, roles_then FROM earlier_groups WHERE class_id = ?',
                    [$classId],
                ),
            ) as $row
        ) {
            $roles = array_filter(
                $row->json('roles_then'),
                static fn (mixed $role): bool => !\is_array($role) || ($role[0] ?? null) !== $student->id,
            );
            $this->db->update(
                'earlier_groups',
                [
                    'groups_then' => json_encode($student->without($row->json('groups_then')), \JSON_THROW_ON_ERROR),
                    'roles_then' => json_encode(array_values($roles), \JSON_THROW_ON_ERROR),
                ],
                ['id' => $row->text('id')],
            );
        }
    }

    public function forgetClass(string $classId): void
    {
        $this->db->executeStatement('DELETE FROM lesson WHERE class_id = ?', [$classId]);
    }
}
