<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Cupboard;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Database\Row;

/**
 * What lies in a teacher's cupboard. By hand: pages are counted where they lie, and where it is used comes in the same
 * round trip.
 */
final readonly class CupboardReader
{
    public function __construct(private Connection $db)
    {
    }

    /**
     * @return list<OriginalSummary> the latest changed first, those put away last
     */
    public function forTeacher(Teacher $teacher): array
    {
        return array_map(
            static fn (Row $row): OriginalSummary => new OriginalSummary(
                $row->text('id'),
                $row->text('title'),
                $row->text('subject'),
                $row->text('year'),
                $row->text('about'),
                $row->int('pages'),
                $row->int('slots'),
                $row->int('variants'),
                $row->int('changed_at'),
                null !== $row->intOrNull('archived_at'),
                $row->int('used'),
                array_values(array_filter($row->json('classes'), \is_string(...))),
                mb_substr((string) preg_replace('/[*_`#>]+/', '', $row->textOrNull('begins') ?? ''), 0, 160),
            ),
            Row::all(
                $this->db->fetchAllAssociative(
                    <<<'SQL'
                        SELECT o.id, o.title, o.subject, o.year, o.about, o.changed_at, o.archived_at,
                          jsonb_array_length(o.pages) AS pages, jsonb_array_length(o.variants) AS variants,
                               jsonb_array_length(jsonb_path_query_array(
                                 o.pages,
                                 '$[*].blocks[*] ? (@.kind != "text" && @.kind != "link" && @.kind != "picture"
                                   && @.kind != "spokenNote")'
                               )) AS slots,
                               jsonb_path_query_first(o.pages, '$[*].blocks[*] ? (@.text != "").text') #>> '{}'
                                 AS begins,
                               (SELECT COUNT(DISTINCT h.round_id) FROM hand_out h JOIN round r ON r.id = h.round_id
                                 JOIN lesson l ON l.id = r.lesson_id WHERE h.original_id = o.id
                                 AND l.removed_at IS NULL) AS used,
                               (SELECT COALESCE(jsonb_agg(DISTINCT c.name), '[]') FROM hand_out h
                                 JOIN round r ON r.id = h.round_id JOIN lesson l ON l.id = r.lesson_id
                                JOIN school_class c ON c.id = l.class_id WHERE h.original_id = o.id
                                  AND l.removed_at IS NULL) AS classes
                        FROM original o WHERE o.teacher_id = ? AND o.removed_at IS NULL
                          ORDER BY o.archived_at IS NOT NULL, o.changed_at DESC, o.id
                        SQL,
                    [$teacher->id],
                ),
            ),
        );
    }
}
