<?php

declare(strict_types=1);

namespace FreshHuddle\App\DryRun\Practice;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Database\Row;

/**
 * Which process drives which practice: one at a time, and another one when that is gone. By hand: claimed in one
 * statement, so that two who ask at once do not both get it.
 */
final readonly class PracticeLeaseStore
{
    /** So long nobody else drives what a process has claimed. Milliseconds. */
    private const LASTS = 10_000;

    public function __construct(private Connection $db, private Clock $clock)
    {
    }

    /**
     * @param list<string> $own those this process drives already
     *
     * @return list<Cast> all that it drives from now on; the new ones with no memory
     */
    public function claim(array $own): array
    {
        $now = $this->clock->ms();
        $rows = $this->db->fetchAllAssociative(
            'UPDATE dry_run d SET lease_until = :until FROM lesson l JOIN school_class c ON c.id = l.class_id
             WHERE l.id = d.practice_id AND l.ended_at IS NULL AND (d.lease_until < :now OR d.id = ANY(:own::uuid[]))
             RETURNING d.id, d.practice_id, d.seed, d.began_at, l.minutes, c.cannot_read_yet',
            ['until' => $now + self::LASTS, 'now' => $now, 'own' => '{'.implode(',', $own).'}'],
        );

        return array_map(
            static fn (Row $row): Cast => new Cast(
                $row->text('id'),
                $row->text('practice_id'),
                $row->int('seed'),
                $row->int('began_at'),
                $row->int('minutes'),
                $row->bool('cannot_read_yet'),
            ),
            Row::all($rows),
        );
    }
}
