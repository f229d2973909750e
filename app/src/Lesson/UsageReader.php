<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Row;
use FreshHuddle\App\Grouping\GroupingSummary;
use FreshHuddle\App\Grouping\History\GroupingUsage;
use FreshHuddle\App\Grouping\History\GroupingUse;
use FreshHuddle\App\Grouping\History\OtherUse;
use FreshHuddle\App\Lesson\Round\Moments;

/**
 * What groupings are used for, as rounds and runs tell. By hand: groups and seats of all runs come in one round trip,
 * before every proposal.
 */
final readonly class UsageReader implements GroupingUsage
{
    /** So many are looked back on: more than a class sits in groups in a year. */
    private const HISTORY = 200;

    public function __construct(private Connection $db)
    {
    }

    public function summaries(string $classId): array
    {
        return array_map(
            static function (Row $row): GroupingSummary {
                return new GroupingSummary(
                    $row->text('id'),
                    $row->text('name'),
                    $row->int('groups'),
                    $row->int('seated'),
                    $row->int('rounds'),
                    $row->intOrNull('used_at'),
                );
            },
            Row::all(
                $this->db->fetchAllAssociative(
                    'SELECT g.id, g.name, (SELECT COUNT(*) FROM work_group w WHERE w.grouping_id = g.id
                        AND w.position IS NOT NULL) AS groups,
                    (SELECT COUNT(*) FROM seat s WHERE s.grouping_id = g.id) AS seated, (SELECT COUNT(*) FROM round r
                      JOIN lesson l ON l.id = r.lesson_id WHERE r.grouping_id = g.id AND r.number IS NOT NULL
                      AND l.removed_at IS NULL) AS rounds,
                    (SELECT MAX(u.out_at) FROM run u WHERE u.grouping_id = g.id AND NOT u.taken_back) AS used_at
             FROM grouping g WHERE g.class_id = ? AND g.removed_at IS NULL ORDER BY g.id DESC',
                    [$classId],
                ),
            ),
        );
    }

    public function lessonOf(string $groupingId): ?string
    {
        $lesson = $this->db->fetchOne(
            'SELECT r.lesson_id FROM round r JOIN lesson l ON l.id = r.lesson_id WHERE r.grouping_id = ?
                AND l.removed_at IS NULL ORDER BY r.id DESC LIMIT 1',
            [$groupingId],
        );

        return \is_string($lesson) ? $lesson : null;
    }

    public function isUsedIn(string $groupingId, string $lessonId): bool
    {
        return false !==
            $this->db->fetchOne(
                'SELECT 1 FROM round WHERE grouping_id = ? AND lesson_id = ? AND number IS NOT NULL LIMIT 1',
                [$groupingId, $lessonId],
            );
    }

    /**
     * Whether a class has ever worked in groups.
     */
    public function hasBeenOut(string $classId): bool
    {
        return false !==
            $this->db->fetchOne(
                'SELECT 1 FROM run u JOIN lesson l ON l.id = u.lesson_id WHERE l.class_id = ? AND NOT u.taken_back
                    LIMIT 1',
                [$classId],
            );
    }

    public function otherLessons(string $groupingId, ?string $besides, int $now): array
    {
        return array_map(
            static fn (Row $row): OtherUse => new OtherUse(
                $row->text('id'),
                $row->text('title'),
                $row->intOrNull('starts_at'),
                null === $row->intOrNull('ended_at')
                    && Moments::fromRow($row)->phase($now)->isUnderWay(),
            ),
            Row::all(
                $this->db->fetchAllAssociative(
                    'SELECT DISTINCT ON (l.id) l.id, l.title, (EXTRACT(EPOCH
                        FROM l.starts_at) * 1000)::bigint AS starts_at, l.ended_at, '.Moments::COLUMNS.'
             FROM run u JOIN round r ON r.id = u.round_id JOIN lesson l ON l.id = u.lesson_id
             WHERE u.grouping_id = ? AND NOT u.taken_back AND l.removed_at IS NULL AND (?::uuid IS NULL OR l.id <> ?)
             ORDER BY l.id DESC, u.out_at DESC',
                    [$groupingId, $besides, $besides],
                ),
            ),
        );
    }

    /**
     * @return list<array{string, string}>
     */
    private static function roles(Row $row): array
    {
        $roles = [];
        foreach ($row->json('roles') as $role) {
            if (\is_array($role) && \is_string($role[0] ?? null) && \is_string($role[1] ?? null)) {
                $roles[] = [$role[0], $role[1]];
            }
        }

        return $roles;
    }

    public function uses(string $classId): array
    {
        $rows = Row::all(
            $this->db->fetchAllAssociative(
                "SELECT u.out_at AS at, g.name, l.title,
                    COALESCE((SELECT jsonb_agg(x.students ORDER BY x.position) FROM (
                        SELECT rg.position, jsonb_agg(rs.student_id ORDER BY rs.number) AS students FROM run_group rg
                          JOIN run_seat rs ON rs.run_group_id = rg.id WHERE rg.run_id = u.id GROUP BY rg.position
                    ) x), '[]') AS groups,
                    COALESCE((SELECT jsonb_agg(jsonb_build_array(rs.student_id, rs.role)) FROM run_seat rs
                      WHERE rs.run_id = u.id AND rs.role <> ''), '[]') AS roles, u.id
             FROM run u JOIN grouping g ON g.id = u.grouping_id JOIN lesson l ON l.id = u.lesson_id
             WHERE l.class_id = ? AND NOT u.taken_back
             UNION ALL SELECT e.at, e.name, e.lesson, e.groups_then, e.roles_then, e.id FROM earlier_groups e
               WHERE e.class_id = ?
             ORDER BY at DESC, id DESC LIMIT ".self::HISTORY,
                [$classId, $classId],
            ),
        );

        return array_reverse(
            array_map(static function (Row $row): GroupingUse {
                $groups = [];
                foreach ($row->json('groups') as $group) {
                    $groups[] = array_values(array_filter(\is_array($group) ? $group : [], \is_string(...)));
                }

                return new GroupingUse(
                    $row->text('name'),
                    $row->text('title'),
                    $row->int('at'),
                    $groups,
                    self::roles($row),
                );
            }, $rows),
        );
    }
}
