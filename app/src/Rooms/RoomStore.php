<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms;

use Doctrine\DBAL\Connection;
use FreshHuddle\Core\Rooms\RoomState;
use Symfony\Component\Uid\Uuid;

/**
 * Writes rooms and who may enter them. By hand: two people who press at once plan each room once, and the main session of
 * a class has up to 1,200 members, who are replaced in two statements.
 */
final readonly class RoomStore
{
    public function __construct(private Connection $db)
    {
    }

    /**
     * A room that is to be made, unless there is one for this place.
     */
    public function plan(string $classId, ?string $groupingId, ?string $groupId, string $name): void
    {
        $this->db->executeStatement(
            'INSERT INTO room (id, class_id, grouping_id, group_id, name, state) VALUES (?, ?, ?, ?, ?, ?) ON CONFLICT DO NOTHING',
            [Uuid::v7()->toRfc4122(), $classId, $groupingId, $groupId, $name, RoomState::Planned->value],
        );
    }

    public function note(string $roomId, RoomState $state, ?string $failure = null): void
    {
        $this->db->update('room', ['state' => $state->value, 'failure' => $failure], ['id' => $roomId]);
    }

    /**
     * The service has made it: from now on we know what it is called there, whatever else goes wrong.
     */
    public function madeAs(string $roomId, string $externalId): void
    {
        $this->db->update('room', ['external_id' => $externalId], ['id' => $roomId]);
    }

    /**
     * @param array<string, string> $links   student's id => their personal link
     * @param array<string, string> $helpers staff's id => their personal link
     */
    public function members(string $roomId, array $links, array $helpers): void
    {
        $this->db->transactional(function () use ($roomId, $links, $helpers): void {
            $this->db->executeStatement('DELETE FROM room_member WHERE room_id = ?', [$roomId]);
            $this->db->executeStatement(
                'INSERT INTO room_member (room_id, student_id, link) SELECT ?, key::uuid, value FROM jsonb_each_text(?::jsonb)',
                [$roomId, json_encode((object) $links, \JSON_THROW_ON_ERROR)],
            );
            $this->db->executeStatement('DELETE FROM room_helper WHERE room_id = ?', [$roomId]);
            foreach ($helpers as $teacher => $link) {
                $this->db->insert('room_helper', ['room_id' => $roomId, 'teacher_id' => $teacher, 'link' => $link]);
            }
            $this->note($roomId, RoomState::Made);
        });
    }
}
