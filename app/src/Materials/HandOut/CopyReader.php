<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\HandOut;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Row;
use FreshHuddle\Core\Materials\HandOutWay;

/**
 * Which copies a round has. By hand: the lesson's page asks at every turn, for as many as 1,200, and their pages stay where
 * they are.
 */
final readonly class CopyReader
{
    public function __construct(private Connection $db)
    {
    }

    /**
     * @return list<CopySummary>
     */
    public function summaries(string $roundId): array
    {
        return array_map(
            static fn (Row $row): CopySummary => new CopySummary(
                $row->text('id'),
                $row->text('original_id'),
                $row->textOrNull('group_id'),
                $row->textOrNull('student_id'),
                HandOutWay::from($row->text('way')),
                $row->text('variant'),
                $row->text('name'),
                $row->int('original_version'),
            ),
            Row::all($this->db->fetchAllAssociative('SELECT id, original_id, group_id, student_id, way, variant, name, original_version FROM work_copy WHERE round_id = ? ORDER BY name', [$roundId])),
        );
    }
}
