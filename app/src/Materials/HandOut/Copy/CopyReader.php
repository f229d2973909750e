<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\HandOut\Copy;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Row;
use FreshHuddle\Core\Materials\HandOutWay;

/**
 * Which copies a round has. By hand: the lesson's page asks at every turn, for as many as 1,200, and their pages stay
 * where they are.
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
        foreach (
            Row::all(
                $this->db->fetchAllAssociative(
                    "SELECT c.id, count(DISTINCT a.slot) AS slots FROM work_copy c
                        JOIN slot_answer a ON a.copy_id = c.id AND a.text <> '' WHERE c.round_id = ? GROUP BY c.id",
                    [$roundId],
                ),
            ) as $row
        ) {
            $worked[$row->text('id')] = $row->int('slots');
        }

        return $worked;
    }

    /**
     * The copies that are written in by groups or students while they are out.
     *
     * @return list<Row> id, group_id, student_id, form: which copies have the same pages
     */
    public function written(string $roundId): array
    {
        return Row::all(
            $this->db->fetchAllAssociative(
                "SELECT c.id, c.group_id, c.student_id,
                    c.original_id || ' ' || c.original_version || ' ' || c.variant AS form FROM work_copy c
             WHERE c.round_id = ? AND c.way <> ? AND (c.group_id IS NOT NULL OR c.student_id IS NOT NULL)
               AND NOT EXISTS (SELECT 1 FROM hand_out h WHERE h.round_id = c.round_id
                 AND h.original_id = c.original_id AND h.opens_with_id IS NOT NULL)",
                [$roundId, HandOutWay::Read->value],
            ),
        );
    }

    /**
     * @return array<string, array<array-key, mixed>> pages of copies, by form
     */
    public function forms(string $roundId): array
    {
        $pages = [];
        foreach (
            Row::all(
                $this->db->fetchAllAssociative(
                    "SELECT DISTINCT ON (original_id, original_version,
                        variant) original_id || ' ' || original_version || ' ' || variant AS form, pages
             FROM work_copy WHERE round_id = ?",
                    [$roundId],
                ),
            ) as $row
        ) {
            $pages[$row->text('form')] = $row->json('pages');
        }

        return $pages;
    }

    /**
     * What has been done in the copies of a round.
     *
     * @param int $since when the round began, milliseconds since 1970
     *
     * @return list<Row> copy_id, owner, filled: how many of that owner's places are done, and at: when that changed
     *                   last since the round
     *                   began; null where it has not
     */
    public function progress(string $roundId, int $since): array
    {
        return Row::all(
            $this->db->fetchAllAssociative(
                'SELECT a.copy_id, a.owner, count(*) FILTER (WHERE a.share >= 1)
                    AS filled, max(a.at) FILTER (WHERE a.at >= ?) AS at
             FROM work_copy c JOIN slot_answer a ON a.copy_id = c.id WHERE c.round_id = ? GROUP BY a.copy_id, a.owner',
                [$since, $roundId],
            ),
        );
    }

    /**
     * @param int $since when the round began, milliseconds since 1970
     *
     * @return list<string> who has written in a copy of a round since it began
     */
    public function authors(string $roundId, int $since): array
    {
        return array_values(
            array_filter(
                $this->db->fetchFirstColumn(
                    'SELECT a.author FROM work_copy c JOIN slot_answer a ON a.copy_id = c.id WHERE c.round_id = :round
                        AND a.at >= :since
             UNION SELECT r.author FROM work_copy c JOIN slot_revision r ON r.copy_id = c.id WHERE c.round_id = :round
               AND r.at >= :since',
                    ['round' => $roundId, 'since' => $since],
                ),
                is_string(...),
            ),
        );
    }

    /**
     * @return array<string, string> titles of the originals that a round has copies of, by id
     */
    public function titles(string $roundId): array
    {
        $titles = [];
        foreach (
            Row::all(
                $this->db->fetchAllAssociative(
                    'SELECT DISTINCT o.id, o.title FROM work_copy c JOIN original o ON o.id = c.original_id
                        WHERE c.round_id = ?',
                    [$roundId],
                ),
            ) as $row
        ) {
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
            Row::all(
                $this->db->fetchAllAssociative(
                    'SELECT id, original_id, group_id, student_id, way, variant, name, original_version FROM work_copy
                        WHERE round_id = ? ORDER BY name',
                    [$roundId],
                ),
            ),
        );
    }
}
