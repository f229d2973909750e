<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\Erasure;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Row;
use FreshHuddle\App\Database\TextStore;
use FreshHuddle\Core\Roster\Erasure\FormerMember;

/**
 * Takes a student out of what was sent and set up. By hand: steps are many, and only those that name somebody are
 * written.
 */
final readonly class DeliveryErasureStore
{
    private const OF_CLASS = 'JOIN set_up s ON s.id = t.set_up_id JOIN lesson l ON l.id = s.lesson_id
        WHERE l.class_id = :class';

    public function __construct(private Connection $db, private TextStore $texts)
    {
    }

    public function forget(string $classId, FormerMember $student): void
    {
        $this->db->executeStatement('DELETE FROM sent_viewer WHERE viewer = ?', [$student->id]);
        $this->db->executeStatement('DELETE FROM sent WHERE target = ?', [$student->id]);
        $this->texts->rewrite(
            'set_up_step',
            ['set_up_id', 'position'],
            ['subject' => null, 'says' => null, 'failure' => null],
            self::OF_CLASS,
            ['class' => $classId],
            $student->text(...),
        );
        foreach (
            Row::all(
                $this->db->fetchAllAssociative(
                    'SELECT t.set_up_id, t.position, t.ids FROM set_up_step t '.self::OF_CLASS.' AND t.ids::text LIKE :id',
                    ['class' => $classId, 'id' => "%{$student->id}%"],
                ),
            ) as $row
        ) {
            $this->db->update(
                'set_up_step',
                ['ids' => json_encode($student->without($row->json('ids')), \JSON_THROW_ON_ERROR)],
                ['set_up_id' => $row->text('set_up_id'), 'position' => $row->int('position')],
            );
        }
    }
}
