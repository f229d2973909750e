<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Row;
use FreshHuddle\Core\Grouping\Floor;
use FreshHuddle\Core\Rooms\RoomPurpose;
use FreshHuddle\Core\Rooms\RoomState;
use FreshHuddle\Core\Rooms\SourceKind;

/**
 * What pages and the worker ask about rooms. By hand: the lesson's page shows every room with the work that is under
 * way for it in one round trip, and the worker asks where people are every few seconds.
 */
final readonly class RoomReader
{
    /** `main`, or the id of the group or the side room. */
    private const PLACE = "CASE r.purpose WHEN 'main' THEN 'main' WHEN 'side' THEN r.id::text
        ELSE r.group_id::text END";

    public function __construct(private Connection $db)
    {
    }

    /**
     * @return list<RoomView> the main session first, then by group, then side rooms; groups without a room have none
     *                        here
     */
    public function ofRound(string $groupingId, string $classId, Floor $floor): array
    {
        $rows = Row::all(
            $this->db->fetchAllAssociative(
                'SELECT r.id, r.purpose, r.group_id, r.name, r.state, t.id IS NOT NULL AS working,
                    COALESCE(t.failure, r.failure) AS failure,
                    r.source, r.link, r.may_record, r.may_share_screen, r.may_write,
                    r.tried_at, r.opened_at, r.missed_at
             FROM room r LEFT JOIN due_task t ON t.subject = r.id::text AND t.kind IN (?, ?, ?)
             WHERE r.grouping_id = ? OR (r.class_id = ? AND r.group_id IS NULL) ORDER BY r.id, t.id',
                [RoomTaskHandler::MAKE, RoomTaskHandler::MEMBERS, RoomTaskHandler::CHANGE, $groupingId, $classId],
            ),
        );
        $ofGroup = $main = $side = [];
        foreach ($rows as $row) {
            $view = new RoomView(
                $row->text('id'),
                RoomPurpose::from($row->text('purpose')),
                $row->textOrNull('group_id'),
                $row->text('name'),
                RoomState::from($row->text('state')),
                $row->bool('working'),
                $row->textOrNull('failure'),
                SourceKind::from($row->text('source')),
                $row->textOrNull('link'),
                $row->boolOrNull('may_record'),
                $row->boolOrNull('may_share_screen'),
                $row->boolOrNull('may_write'),
                $row->intOrNull('tried_at'),
                $row->intOrNull('opened_at'),
                $row->intOrNull('missed_at'),
            );
            match ($view->purpose) {
                RoomPurpose::Main => ($main[$view->id] = $view),
                RoomPurpose::Side => ($side[$view->id] = $view),
                RoomPurpose::Group => ($ofGroup[$view->groupId ?? ''] = $view),
            };
        }
        $rooms = array_values($main);
        foreach ($floor->groups as $group) {
            if (isset($ofGroup[$group->id])) {
                $rooms[] = $ofGroup[$group->id];
            }
        }

        return [...$rooms, ...array_values($side)];
    }

    /**
     * Where the rooms of a class come from.
     *
     * @return array<string, SourceKind> by place: `main`, or the id of a group or a side room; under '' where new ones
     *     come from
     */
    public function sources(string $classId): array
    {
        $sources = [];
        foreach (
            Row::all(
                $this->db->fetchAllAssociative(
                    "SELECT '' AS place, kind AS source FROM room_source WHERE class_id = :class UNION ALL SELECT ".
                        self::PLACE.
                        ' AS place, r.source FROM room r WHERE r.class_id = :class',
                    ['class' => $classId],
                ),
            ) as $row
        ) {
            $sources[$row->text('place')] = SourceKind::from($row->text('source'));
        }

        return $sources;
    }

    /**
     * The links that a teacher's rooms have, but for those of other groupings of the class: groups meet by the same
     * links again.
     *
     * @return array<string, array{room: string, class: string, className: string, purpose: RoomPurpose,
     *   group: string|null,
     *                             name: string, grouping: string|null}> by normal form
     */
    public function links(string $ownerId, string $classId, ?string $groupingId): array
    {
        $links = [];
        foreach (
            Row::all(
                $this->db->fetchAllAssociative(
                    'SELECT r.normal_link, r.id, r.class_id, c.name AS class, r.purpose, r.group_id, COALESCE(g.name,
                        r.name) AS name, q.name AS grouping
             FROM room r JOIN school_class c ON c.id = r.class_id LEFT JOIN work_group g ON g.id = r.group_id
               LEFT JOIN grouping q ON q.id = r.grouping_id
             WHERE r.link_owner_id = :owner AND NOT (r.class_id = :class AND r.grouping_id IS NOT NULL
               AND r.grouping_id IS DISTINCT FROM :grouping::uuid)
             ORDER BY r.grouping_id IS NOT DISTINCT FROM :grouping::uuid, r.id',
                    ['owner' => $ownerId, 'class' => $classId, 'grouping' => $groupingId],
                ),
            ) as $row
        ) {
            $links[$row->text('normal_link')] = [
                'room' => $row->text('id'),
                'class' => $row->text('class_id'),
                'className' => $row->text('class'),
                'purpose' => RoomPurpose::from($row->text('purpose')),
                'group' => $row->textOrNull('group_id'),
                'name' => $row->text('name'),
                'grouping' => $row->textOrNull('grouping'),
            ];
        }

        return $links;
    }

    /**
     * The rooms that the meeting service has made for a class.
     *
     * @param string|null $groupingId only those of this grouping, and the main session
     *
     * @return array<string, string> what the service calls it => its place: `main`, or the id of a group or a side room
     */
    public function made(string $classId, ?string $groupingId = null): array
    {
        $places = [];
        foreach (
            Row::all(
                $this->db->fetchAllAssociative(
                    'SELECT r.external_id, '.
                        self::PLACE.
                        ' AS place FROM room r WHERE r.external_id IS NOT NULL AND r.class_id = ? AND (?::uuid IS NULL
                            OR r.group_id IS NULL OR r.grouping_id = ?)',
                    [$classId, $groupingId, $groupingId],
                ),
            ) as $row
        ) {
            $places[$row->text('external_id')] = $row->text('place');
        }

        return $places;
    }

    /**
     * The rooms a set-up list looks at: the main session, those of a grouping, and those that the meeting service still
     * has of groups that are gone.
     *
     * @return list<Row> id, place, on_floor, name, state, external_id, named_by_hand, missed_at, source, students,
     *                   staff
     */
    public function forSetUp(string $classId, string $groupingId): array
    {
        return Row::all(
            $this->db->fetchAllAssociative(
                "SELECT r.id, CASE r.purpose WHEN 'main' THEN 'main' ELSE r.group_id::text END AS place,
                    r.purpose = 'main' OR (g.position IS NOT NULL AND r.grouping_id = :grouping
                    AND q.removed_at IS NULL) AS on_floor,
                    r.name, r.state, r.external_id, r.named_by_hand, r.missed_at, r.source,
                    COALESCE((SELECT jsonb_agg(m.student_id) FROM room_member m WHERE m.room_id = r.id), '[]')
                      AS students,
                    COALESCE((SELECT jsonb_agg(h.teacher_id) FROM room_helper h WHERE h.room_id = r.id), '[]') AS staff
             FROM room r LEFT JOIN work_group g ON g.id = r.group_id LEFT JOIN grouping q ON q.id = r.grouping_id
             WHERE r.class_id = :class AND r.purpose <> 'side'
               AND (r.purpose = 'main' OR (r.grouping_id = :grouping AND g.position IS NOT NULL)
                 OR (r.external_id IS NOT NULL AND (g.position IS NULL OR q.removed_at IS NOT NULL))) ORDER BY r.id",
                ['class' => $classId, 'grouping' => $groupingId],
            ),
        );
    }

    /**
     * @param list<string> $groupIds
     *
     * @return list<string> ids of the rooms of these groups that are there
     */
    public function ofGroups(array $groupIds): array
    {
        return array_values(
            array_filter(
                $this->db->fetchFirstColumn(
                    "SELECT id FROM room WHERE group_id = ANY(?::uuid[]) AND state NOT IN ('planned', 'failed')",
                    ['{'.implode(',', $groupIds).'}'],
                ),
                \is_string(...),
            ),
        );
    }

    /**
     * Whether this is a side room of a class.
     */
    public function isSideRoom(string $classId, string $id): bool
    {
        return false !==
            $this->db->fetchOne("SELECT 1 FROM room WHERE class_id = ? AND id::text = ? AND purpose = 'side'", [
                $classId,
                $id,
            ]);
    }

    /**
     * @return string|null the id of the class's main session, once it is there
     */
    public function mainSession(string $classId): ?string
    {
        $main = $this->db->fetchOne(
            "SELECT id FROM room WHERE class_id = ? AND purpose = 'main' AND state NOT IN ('planned', 'failed')",
            [$classId],
        );

        return \is_string($main) ? $main : null;
    }

    /**
     * @return string|null the personal link of one of the staff
     */
    public function linkOf(string $roomId, string $teacherId): ?string
    {
        $link = $this->db->fetchOne('SELECT link FROM room_helper WHERE room_id = ? AND teacher_id = ?', [
            $roomId,
            $teacherId,
        ]);

        return \is_string($link) ? $link : null;
    }

    /**
     * @return string|null the place of a class that the service calls so
     */
    public function place(string $classId, string $externalId): ?string
    {
        $place = $this->db->fetchOne(
            'SELECT '.self::PLACE.' FROM room r WHERE r.external_id = ? AND r.class_id = ?',
            [$externalId, $classId],
        );

        return \is_string($place) ? $place : null;
    }
}
