<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Media;

use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Row;

/**
 * Who may see which picture and hear which recording. By hand: what an original or a copy shows stands in its document.
 */
final readonly class MediaReader
{
    public function __construct(private Connection $db)
    {
    }

    /**
     * What a teacher put in; what stands in an original of theirs, or in an original or a copy of a class they teach or
     * help in.
     *
     * @param list<string> $ids UUIDs
     *
     * @return list<string> those among them that the teacher may see
     */
    public function open(string $teacherId, array $ids): array
    {
        if ([] === $ids) {
            return [];
        }
        /** @var list<string> $open */
        $open = $this->db->fetchFirstColumn(
            'WITH mine AS (SELECT id FROM school_class WHERE teacher_id = :teacher AND removed_at IS NULL
                           UNION SELECT c.id FROM class_staff s JOIN school_class c ON c.id = s.class_id
                             WHERE s.teacher_id = :teacher AND c.removed_at IS NULL),
                  rounds AS (SELECT r.id FROM round r JOIN lesson l ON l.id = r.lesson_id WHERE l.class_id IN (
                    SELECT id FROM mine) AND l.removed_at IS NULL)
             SELECT m.id FROM media m WHERE m.id IN (:ids) AND (
                m.teacher_id = :teacher
                OR EXISTS (SELECT 1 FROM original_media u JOIN original o ON o.id = u.original_id
                  WHERE u.media_id = m.id AND o.teacher_id = :teacher)
                OR EXISTS (SELECT 1 FROM original_media u JOIN hand_out h ON h.original_id = u.original_id
                  WHERE u.media_id = m.id AND h.round_id IN (SELECT id FROM rounds))
                OR EXISTS (SELECT 1 FROM sheet_media u JOIN work_copy w ON w.id = u.copy_id WHERE u.media_id = m.id
                  AND w.round_id IN (SELECT id FROM rounds))
                OR EXISTS (SELECT 1 FROM copy_media i JOIN work_copy w ON w.id = i.copy_id WHERE i.media_id = m.id
                  AND w.round_id IN (SELECT id FROM rounds)))',
            ['teacher' => $teacherId, 'ids' => $ids],
            ['ids' => ArrayParameterType::STRING],
        );

        return $open;
    }

    /**
     * @return int bytes of all pictures and recordings of a teacher
     */
    public function kept(string $teacherId): int
    {
        $kept = $this->db->fetchOne('SELECT COALESCE(SUM(size), 0)::bigint FROM media WHERE teacher_id = ?', [
            $teacherId,
        ]);

        return \is_int($kept) ? $kept : 0;
    }

    /**
     * @return int bytes of what students of a class have put into copies
     */
    public function keptIn(string $classId): int
    {
        $kept = $this->db->fetchOne(
            'SELECT COALESCE(SUM(m.size), 0)::bigint FROM (SELECT DISTINCT i.media_id FROM copy_media i
                JOIN work_copy w ON w.id = i.copy_id JOIN round r ON r.id = w.round_id
                JOIN lesson l ON l.id = r.lesson_id
             WHERE l.class_id = ?) c JOIN media m ON m.id = c.media_id',
            [$classId],
        );

        return \is_int($kept) ? $kept : 0;
    }

    /**
     * Until the transaction ends, nobody else puts in or drops the bytes of this digest.
     */
    public function hold(string $digest): void
    {
        $this->db->executeQuery('SELECT pg_advisory_xact_lock(hashtextextended(?, 0))', [$digest]);
    }

    /**
     * @param list<string> $ids
     *
     * @return array<string, list<string>> those among them that stand in no original and no copy, by digest
     */
    public function unusedAmong(array $ids): array
    {
        $found = [];
        foreach (
            Row::all(
                $this->db->fetchAllAssociative(
                    'SELECT m.id, m.digest FROM media m WHERE m.id = ANY(?::uuid[]) AND NOT EXISTS (SELECT 1
                        FROM original_media u WHERE u.media_id = m.id)
                     AND NOT EXISTS (SELECT 1 FROM sheet_media u WHERE u.media_id = m.id) AND NOT EXISTS (SELECT 1
                        FROM copy_media i WHERE i.media_id = m.id)',
                    ['{'.implode(',', $ids).'}'],
                ),
            ) as $row
        ) {
            $found[$row->text('digest')][] = $row->text('id');
        }

        return $found;
    }

    /**
     * @param int $before milliseconds since 1970
     *
     * @return array<string, list<string>> ids by digest: put in before then, and now in no original and no copy
     */
    public function unused(int $before, int $most): array
    {
        $found = [];
        foreach (
            Row::all(
                $this->db->fetchAllAssociative(
                    'SELECT m.id, m.digest FROM media m WHERE m.made_at < ? AND NOT EXISTS (SELECT 1
                        FROM original_media u WHERE u.media_id = m.id)
                AND NOT EXISTS (SELECT 1 FROM sheet_media u WHERE u.media_id = m.id) AND NOT EXISTS (SELECT 1
                  FROM copy_media i WHERE i.media_id = m.id) ORDER BY m.made_at LIMIT ?',
                    [$before, $most],
                ),
            ) as $row
        ) {
            $found[$row->text('digest')][] = $row->text('id');
        }

        return $found;
    }

    /**
     * @param list<string> $ids UUIDs
     *
     * @return list<string> those among them that a copy shows: what its original had, and what its members have put in
     */
    public function in(string $copyId, array $ids): array
    {
        if ([] === $ids) {
            return [];
        }
        /** @var list<string> $in */
        $in = $this->db->fetchFirstColumn(
            'SELECT m.id FROM media m WHERE m.id IN (:ids) AND (
                EXISTS (SELECT 1 FROM copy_media i WHERE i.media_id = m.id AND i.copy_id = :copy)
                OR EXISTS (SELECT 1 FROM sheet_media u WHERE u.media_id = m.id AND u.copy_id = :copy))',
            ['copy' => $copyId, 'ids' => $ids],
            ['ids' => ArrayParameterType::STRING],
        );

        return $in;
    }
}
