<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson\Erasure;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Row;
use FreshHuddle\App\Database\TextStore;
use FreshHuddle\Core\Roster\Erasure\FormerMember;

/**
 * Takes a student out of instructions, prepared messages and names of groups. By hand: only texts that name somebody
 * are written.
 */
final readonly class PlanErasureStore
{
    /** Texts, and how to the lesson, by table. */
    private const TEXTS = [
        'segment' => [['instructions' => null], 'JOIN lesson l ON l.id = t.lesson_id'],
        'prepared_notice' => [
            ['text' => null],
            'JOIN round r ON r.id = t.round_id JOIN lesson l ON l.id = r.lesson_id',
        ],
        'run_group' => [
            ['name' => null, 'last_name' => null],
            'JOIN run u ON u.id = t.run_id JOIN lesson l ON l.id = u.lesson_id',
        ],
    ];

    public function __construct(private Connection $db, private TextStore $texts)
    {
    }

    public function forget(string $classId, FormerMember $student): void
    {
        $this->history($classId, $student);
        foreach (self::TEXTS as $table => [$columns, $join]) {
            $this->texts->rewrite(
                $table,
                ['id'],
                $columns,
                "{$join} WHERE l.class_id = :class",
                ['class' => $classId],
                $student->text(...),
            );
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
