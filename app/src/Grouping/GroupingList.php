<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Row;

/**
 * The groupings of a class, for the screen; and those its students have really sat in.
 */
final readonly class GroupingList
{
    /** Groupings older than that are not held against anybody. */
    private const HISTORY = 12;

    public function __construct(private Connection $db)
    {
    }

    /**
     * @return list<GroupingSummary> newest first
     */
    public function summaries(string $classId): array
    {
        return array_map(static function (Row $row): GroupingSummary {
            $floor = FloorJson::read($row->text('floor'));

            return new GroupingSummary($row->text('id'), $row->text('name'), \count($floor->groups), \count($floor->seated()), $row->int('rounds'), $row->intOrNull('used_at'));
        }, Row::all($this->db->fetchAllAssociative(
            'SELECT g.id, g.name, s.floor, (SELECT COUNT(*) FROM round r WHERE r.grouping_id = g.id) AS rounds,
                    (SELECT MAX(u.at) FROM grouping_use u WHERE u.grouping_id = g.id) AS used_at
             FROM grouping g JOIN grouping_step s ON s.grouping_id = g.id AND s.number = g.step
             WHERE g.class_id = ? AND g.removed_at IS NULL ORDER BY g.id DESC',
            [$classId],
        )));
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

    /**
     * @return list<GroupingUse> the latest last
     */
    public function uses(string $classId): array
    {
        $rows = Row::all($this->db->fetchAllAssociative(
            'SELECT u.groups, u.at, u.roles, g.name, l.title FROM grouping_use u JOIN grouping g ON g.id = u.grouping_id
             JOIN round r ON r.id = u.round_id JOIN lesson l ON l.id = r.lesson_id
             WHERE u.class_id = ? ORDER BY u.at DESC LIMIT '.self::HISTORY,
            [$classId],
        ));

        return array_reverse(array_map(static function (Row $row): GroupingUse {
            $groups = [];
            foreach ($row->json('groups') as $group) {
                $groups[] = array_values(array_filter(\is_array($group) ? $group : [], \is_string(...)));
            }

            return new GroupingUse($row->text('name'), $row->text('title'), $row->int('at'), $groups, self::roles($row));
        }, $rows));
    }
}
