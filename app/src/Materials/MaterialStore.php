<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Row;
use FreshHuddle\App\Materials\Exception\MaterialsRefused;
use FreshHuddle\Core\Materials\Original;
use Symfony\Component\Uid\Uuid;

/**
 * Writes originals and copies. By hand: an original is saved on the version it was read at, and copies for up to 200 groups
 * are made, or brought up to date where nobody has written, while the original is held.
 */
final readonly class MaterialStore
{
    public function __construct(private Connection $db)
    {
    }

    /**
     * @param int $basedOn the version it was read at; 0 for a first one
     *
     * @return bool false if it was changed elsewhere meanwhile
     */
    public function save(string $roundId, Original $original, int $basedOn): bool
    {
        $blocks = json_encode(array_map(BlockView::of(...), $original->blocks), \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE);

        return 1 === (int) (0 === $basedOn
            ? $this->db->executeStatement(
                'INSERT INTO original (id, round_id, title, blocks, version) VALUES (?, ?, ?, ?, 1) ON CONFLICT DO NOTHING',
                [Uuid::v7()->toRfc4122(), $roundId, $original->title, $blocks],
            )
            : $this->db->executeStatement(
                'UPDATE original SET title = ?, blocks = ?, version = version + 1 WHERE round_id = ? AND version = ?',
                [$original->title, $blocks, $roundId, $basedOn],
            ));
    }

    /**
     * @param array<string, string> $names group's id => what its copy is called
     *
     * @return array{int, int, list<string>} how many were made, how many brought up to date, and the names of those left
     *                                       alone because somebody has written in them
     */
    public function makeCopies(string $roundId, OriginalView $original, array $names): array
    {
        $made = $brought = 0;
        $kept = [];
        $this->db->transactional(function () use ($roundId, $original, $names, &$made, &$brought, &$kept): void {
            $this->db->executeQuery('SELECT 1 FROM original WHERE id = ? FOR UPDATE', [$original->id]);
            $blocks = json_encode($original->blocks, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE);
            foreach ($names as $groupId => $name) {
                $made += $fresh = (int) $this->db->executeStatement(
                    'INSERT INTO work_copy (id, round_id, original_id, original_version, group_id, name, title, blocks) VALUES (?, ?, ?, ?, ?, ?, ?, ?) ON CONFLICT DO NOTHING',
                    [Uuid::v7()->toRfc4122(), $roundId, $original->id, $original->version, $groupId, $name, $original->title, $blocks],
                );
                if (0 === $fresh) {
                    $this->bringUpToDate($roundId, $groupId, $original, $blocks, $name) ? ++$brought : $kept[] = $name;
                }
            }
        });

        return [$made, $brought, $kept];
    }

    /**
     * @return bool false where somebody has written and the copy is an older one: it is left alone
     */
    private function bringUpToDate(string $roundId, string $groupId, OriginalView $original, string $blocks, string $name): bool
    {
        $copy = $this->db->fetchAssociative('SELECT id, original_version FROM work_copy WHERE round_id = ? AND group_id = ? FOR UPDATE', [$roundId, $groupId]);
        $copy = new Row(false === $copy ? throw MaterialsRefused::missing() : $copy);
        $this->db->update('work_copy', ['name' => $name], ['id' => $copy->text('id')]);
        if ($copy->int('original_version') === $original->version) {
            return true;
        }
        if (false !== $this->db->fetchOne("SELECT 1 FROM slot_answer WHERE copy_id = ? AND text <> ''", [$copy->text('id')])) {
            return false;
        }
        $this->db->update('work_copy', ['blocks' => $blocks, 'title' => $original->title, 'original_version' => $original->version], ['id' => $copy->text('id')]);

        return true;
    }
}
