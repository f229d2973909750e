<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Media;

use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;

/**
 * Keeps as rows which pictures and recordings stand where; who may see them comes from these rows alone, never from
 * words in a document. By hand: 1,200 copies are made at once.
 */
final readonly class MediaUseStore
{
    public function __construct(private Connection $db)
    {
    }

    /**
     * What stands in an original now.
     *
     * @param list<string> $media ids
     */
    public function ofOriginal(string $original, array $media): void
    {
        $this->db->executeStatement('DELETE FROM original_media WHERE original_id = ?', [$original]);
        if ([] !== $media) {
            $this->db->executeStatement(
                'INSERT INTO original_media (original_id, media_id) SELECT :original, m.id FROM media m
                    WHERE m.id IN (:media)',
                ['original' => $original, 'media' => $media],
                ['media' => ArrayParameterType::STRING],
            );
        }
    }

    /**
     * What stands on the pages of the copies of an original in a round now.
     */
    public function ofCopies(string $round, string $original): void
    {
        $of = ['round' => $round, 'original' => $original];
        $this->db->executeStatement(
            'DELETE FROM sheet_media s USING work_copy w WHERE w.id = s.copy_id AND w.round_id = :round
                AND w.original_id = :original',
            $of,
        );
        $this->db->executeStatement(
            "INSERT INTO sheet_media (copy_id, media_id)
             SELECT DISTINCT w.id, m.id FROM work_copy w CROSS JOIN LATERAL jsonb_path_query(w.pages, '$.**.media')
               AS found (id)
             JOIN media m ON m.id = CASE WHEN found.id #>> '{}' ~ '^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$'
               THEN CAST(found.id #>> '{}' AS uuid) END
             WHERE w.round_id = :round AND w.original_id = :original",
            $of,
        );
    }
}
