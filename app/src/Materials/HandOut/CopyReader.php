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
     * @return array<string, int> in how many slots of each copy of a round somebody has written, where somebody has
     */
    public function worked(string $roundId): array
    {
        $worked = [];
        foreach (Row::all($this->db->fetchAllAssociative(
            "SELECT c.id, count(DISTINCT a.slot) AS slots FROM work_copy c JOIN slot_answer a ON a.copy_id = c.id AND a.text <> '' WHERE c.round_id = ? GROUP BY c.id",
            [$roundId],
        )) as $row) {
            $worked[$row->text('id')] = $row->int('slots');
        }

        return $worked;
    }

    /**
     * What has been done in the copies of a round.
     *
     * @return array<string, array{filled: int, at: int}> by whose the copies are, a group or a student: in how many places
     *                                                    something stands, and when that changed last (milliseconds since 1970)
     */
    public function progress(string $roundId): array
    {
        $progress = [];
        foreach (Row::all($this->db->fetchAllAssociative(
            "SELECT COALESCE(c.group_id, c.student_id) AS whose, count(*) FILTER (WHERE a.text <> '') AS filled, max(a.at) AS at
             FROM work_copy c JOIN slot_answer a ON a.copy_id = c.id WHERE c.round_id = ? AND (c.group_id IS NOT NULL OR c.student_id IS NOT NULL) GROUP BY 1",
            [$roundId],
        )) as $row) {
            $progress[$row->text('whose')] = ['filled' => $row->int('filled'), 'at' => $row->int('at')];
        }

        return $progress;
    }

    /**
     * @return list<string> who has ever written in a copy of a round
     */
    public function authors(string $roundId): array
    {
        return array_values(array_filter($this->db->fetchFirstColumn(
            'SELECT a.author FROM work_copy c JOIN slot_answer a ON a.copy_id = c.id WHERE c.round_id = :round
             UNION SELECT r.author FROM work_copy c JOIN slot_revision r ON r.copy_id = c.id WHERE c.round_id = :round',
            ['round' => $roundId],
        ), is_string(...)));
    }

    /**
     * @return array<string, string> titles of the originals that a round has copies of, by id
     */
    public function titles(string $roundId): array
    {
        $titles = [];
        foreach (Row::all($this->db->fetchAllAssociative('SELECT DISTINCT o.id, o.title FROM work_copy c JOIN original o ON o.id = c.original_id WHERE c.round_id = ?', [$roundId])) as $row) {
            $titles[$row->text('id')] = $row->text('title');
        }

        return $titles;
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
