<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\Erasure;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Row;
use FreshHuddle\Core\Roster\Erasure\FormerMember;

/**
 * Takes a student out of what was sent and set up. By hand: steps are many, and only those that name somebody are
 * written.
 */
final readonly class DeliveryErasureStore
{
    public function __construct(private Connection $db)
    {
    }

    public function forget(string $classId, FormerMember $student): void
    {
        $this->db->executeStatement('DELETE FROM sent_viewer WHERE viewer = ?', [$student->id]);
        $this->db->executeStatement('DELETE FROM sent WHERE target = ?', [$student->id]);
        foreach (
            Row::all(
                $this->db->fetchAllAssociative(
                    'SELECT t.set_up_id, t.position, t.subject, t.ids, t.says, t.failure FROM set_up_step t
                        JOIN set_up s ON s.id = t.set_up_id JOIN lesson l ON l.id = s.lesson_id WHERE l.class_id = ?',
                    [$classId],
                ),
            ) as $row
        ) {
            $text = static fn (string $column): ?string => null === $row->textOrNull($column)
                ? null
                : $student->text($row->text($column));
            $ids = $row->json('ids');
            $clean = ['subject' => $text('subject'), 'says' => $text('says'), 'failure' => $text('failure')];
            $left = $student->without($ids);
            if (
                $left !== $ids
                || $clean['subject'] !== $row->textOrNull('subject')
                || $clean['says'] !== $row->textOrNull('says')
                || $clean['failure'] !== $row->textOrNull('failure')
            ) {
                $this->db->update(
                    'set_up_step',
                    $clean + ['ids' => json_encode($left, \JSON_THROW_ON_ERROR)],
                    ['set_up_id' => $row->text('set_up_id'), 'position' => $row->int('position')],
                );
            }
        }
    }
}
