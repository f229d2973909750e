<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Row;
use FreshHuddle\Core\Grouping\Floor;
use FreshHuddle\Core\Rooms\MainSession;
use FreshHuddle\Core\Rooms\RoomState;

/**
 * What pages and the worker ask about rooms. By hand: the lesson's page shows every room with the work that is under way
 * for it in one round trip, and the worker asks where people are every few seconds.
 */
final readonly class RoomReader
{
    public function __construct(private Connection $db)
    {
    }

    /**
     * @return list<RoomView> the main session first, then by group; groups without a room have none here
     */
    public function ofRound(string $groupingId, string $classId, Floor $floor): array
    {
        $rows = Row::all($this->db->fetchAllAssociative(
            'SELECT r.id, r.group_id, r.name, r.state, t.id IS NOT NULL AS working, COALESCE(t.failure, r.failure) AS failure
             FROM room r LEFT JOIN due_task t ON t.subject = r.id::text AND t.kind IN (?, ?)
             WHERE r.grouping_id = ? OR (r.class_id = ? AND r.group_id IS NULL)',
            [RoomWork::MAKE, RoomWork::MEMBERS, $groupingId, $classId],
        ));
        $byGroup = [];
        foreach ($rows as $row) {
            $byGroup[$row->textOrNull('group_id') ?? ''] = new RoomView(
                $row->text('id'),
                $row->textOrNull('group_id'),
                $row->text('name'),
                RoomState::from($row->text('state')),
                $row->bool('working'),
                $row->textOrNull('failure'),
            );
        }
        $rooms = isset($byGroup['']) ? [$byGroup['']] : [];
        foreach ($floor->groups as $group) {
            if (isset($byGroup[$group->id])) {
                $rooms[] = $byGroup[$group->id];
            }
        }

        return $rooms;
    }

    /**
     * The rooms that the meeting service has made for a class.
     *
     * @param string|null $groupingId only those of this grouping, and the main session
     *
     * @return array<string, string> what the service calls it => its place: `main` or a group's id
     */
    public function made(string $classId, ?string $groupingId = null): array
    {
        $places = [];
        foreach (Row::all($this->db->fetchAllAssociative(
            'SELECT external_id, group_id FROM room WHERE external_id IS NOT NULL AND class_id = ? AND (?::uuid IS NULL OR group_id IS NULL OR grouping_id = ?)',
            [$classId, $groupingId, $groupingId],
        )) as $row) {
            $places[$row->text('external_id')] = $row->textOrNull('group_id') ?? MainSession::PLACE;
        }

        return $places;
    }

    /**
     * @param list<string> $groupIds
     *
     * @return list<string> ids of the rooms of these groups that the service has made
     */
    public function ofGroups(array $groupIds): array
    {
        return array_values(array_filter($this->db->fetchFirstColumn(
            'SELECT id FROM room WHERE group_id = ANY(?::uuid[]) AND external_id IS NOT NULL',
            ['{'.implode(',', $groupIds).'}'],
        ), \is_string(...)));
    }

    /**
     * @return string|null the id of the class's main session, once the service has made it
     */
    public function mainSession(string $classId): ?string
    {
        $main = $this->db->fetchOne('SELECT id FROM room WHERE class_id = ? AND group_id IS NULL AND external_id IS NOT NULL', [$classId]);

        return \is_string($main) ? $main : null;
    }

    /**
     * @return string|null the personal link of one of the staff
     */
    public function linkOf(string $roomId, string $teacherId): ?string
    {
        $link = $this->db->fetchOne('SELECT link FROM room_helper WHERE room_id = ? AND teacher_id = ?', [$roomId, $teacherId]);

        return \is_string($link) ? $link : null;
    }

    /**
     * @return string|null the place of a class that the service calls so: `main` or a group's id
     */
    public function place(string $classId, string $externalId): ?string
    {
        $place = $this->db->fetchOne('SELECT COALESCE(group_id::text, ?) FROM room WHERE external_id = ? AND class_id = ?', [MainSession::PLACE, $externalId, $classId]);

        return \is_string($place) ? $place : null;
    }
}
