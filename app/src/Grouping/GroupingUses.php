<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Row;
use FreshHuddle\App\Live\Round;
use FreshHuddle\Core\Grouping\Group;

/**
 * Notes which groups a class has really sat in, and who had which role: for new partners and fair roles next time.
 */
final readonly class GroupingUses
{
    public function __construct(private Connection $db, private FloorStore $floors, private DeskNotes $notes)
    {
    }

    /**
     * @param int $at milliseconds since 1970
     */
    public function note(Round $round, int $at): void
    {
        $here = array_fill_keys(array_map(
            static fn (Row $row): string => $row->text('id'),
            Row::all($this->db->fetchAllAssociative('SELECT id FROM student WHERE class_id = ? AND removed_at IS NULL AND NOT absent', [$round->lesson->class->id])),
        ), true);
        $roles = [];
        $names = $this->notes->numbers($round->grouping->id)->roles();
        $groups = array_map(static function (Group $group) use ($here, $names, &$roles): array {
            foreach ($names as $number => $role) {
                if (isset($group->students[$number - 1])) {
                    $roles[] = [$group->students[$number - 1], $role];
                }
            }

            return array_values(array_filter($group->students, static fn (string $id): bool => isset($here[$id])));
        }, $this->floors->now($round->grouping->id)->groups);
        $this->db->executeStatement(
            'INSERT INTO grouping_use (round_id, class_id, grouping_id, at, groups, roles) VALUES (?, ?, ?, ?, ?, ?)
             ON CONFLICT (round_id) DO UPDATE SET grouping_id = EXCLUDED.grouping_id, at = EXCLUDED.at, groups = EXCLUDED.groups, roles = EXCLUDED.roles',
            [$round->id, $round->lesson->class->id, $round->grouping->id, $at, json_encode($groups, \JSON_THROW_ON_ERROR), json_encode($roles, \JSON_THROW_ON_ERROR)],
        );
    }
}
