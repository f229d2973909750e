<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms;

use Doctrine\DBAL\Connection;
use Doctrine\DBAL\Exception\UniqueConstraintViolationException;
use FreshHuddle\App\Rooms\Exception\NoLinkYet;
use FreshHuddle\App\Rooms\Source\RoomSource;
use FreshHuddle\Core\Message;
use FreshHuddle\Core\Rooms\Link;
use FreshHuddle\Core\Rooms\RoomLife;
use FreshHuddle\Core\Rooms\RoomPermissionChanges;
use FreshHuddle\Core\Rooms\RoomPurpose;
use FreshHuddle\Core\Rooms\RoomState;
use FreshHuddle\Core\Rooms\SourceKind;
use Symfony\Component\Uid\Uuid;

/**
 * Writes rooms and who may enter them. By hand: two people who press at once plan each room once, and the main session
 * of a class has up to 1,200 members, who are replaced in two statements.
 */
final readonly class RoomStore
{
    public function __construct(private Connection $db)
    {
    }

    /**
     * A room that is to be made, unless there is one for this place. It begins as the class's rooms do.
     */
    public function plan(
        RoomSource $as,
        RoomPurpose $purpose,
        string $name,
        ?string $groupingId = null,
        ?string $groupId = null,
    ): void {
        $life = RoomPurpose::Group === $purpose ? $as->life : RoomLife::Standing;
        $this->db->executeStatement(
            'INSERT INTO room (id, class_id, purpose, grouping_id, group_id, name, state, source, life)
             VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?) ON CONFLICT DO NOTHING',
            [
                Uuid::v7()->toRfc4122(),
                $as->class->id,
                $purpose->value,
                $groupingId,
                $groupId,
                $name,
                RoomState::Planned->value,
                $as->kind->value,
                $life->value,
            ],
        );
    }

    public function note(string $roomId, RoomState $state, ?string $failure = null): void
    {
        $this->db->update(
            'room',
            ['state' => $state->value, 'failure' => null === $failure ? null : mb_substr($failure, 0, 200)],
            ['id' => $roomId],
        );
    }

    /**
     * The service has made it: from now on we know what it is called there, whatever else goes wrong.
     */
    public function madeAs(string $roomId, string $externalId): void
    {
        $this->db->update('room', ['external_id' => $externalId], ['id' => $roomId]);
    }

    /**
     * Where the room is, for all who enter.
     *
     * @throws NoLinkYet if another room of the same teacher is there
     */
    public function link(Room $room, ?Link $link): void
    {
        try {
            $this->db->update(
                'room',
                [
                    'link' => $link?->address,
                    'normal_link' => $link?->normal,
                    'link_owner_id' => null === $link ? null : $room->class->teacher->id,
                    'link_scope' => null === $link ? null : $room->grouping->id ?? $room->class->id,
                    'tried_at' => null,
                    'opened_at' => null,
                ],
                ['id' => $room->id],
            );
        } catch (UniqueConstraintViolationException) {
            throw NoLinkYet::because(new Message('rooms.link.taken'));
        }
        $room->link = $link?->address;
    }

    /**
     * Links go from rooms to others all at once, so that two may be exchanged.
     *
     * @param array<string, Link> $links by room's id
     * @param list<string>        $from  rooms that give up theirs
     *
     * @throws NoLinkYet if one is taken meanwhile
     */
    public function links(string $ownerId, array $links, array $from): void
    {
        try {
            $this->db->transactional(function () use ($ownerId, $links, $from): void {
                foreach (array_unique([...$from, ...array_keys($links)]) as $roomId) {
                    $this->db->update(
                        'room',
                        [
                            'link' => null,
                            'normal_link' => null,
                            'link_owner_id' => null,
                            'tried_at' => null,
                            'opened_at' => null,
                            'state' => RoomState::Planned->value,
                            'failure' => null,
                        ],
                        ['id' => $roomId],
                    );
                    $this->db->delete('room_member', ['room_id' => $roomId]);
                    $this->db->delete('room_helper', ['room_id' => $roomId]);
                }
                foreach ($links as $roomId => $link) {
                    $this->db->executeStatement(
                        'UPDATE room SET link = ?, normal_link = ?, link_owner_id = ?, source = ?,
                            link_scope = COALESCE(grouping_id, class_id) WHERE id = ?',
                        [$link->address, $link->normal, $ownerId, SourceKind::OwnLinks->value, $roomId],
                    );
                }
            });
        } catch (UniqueConstraintViolationException) {
            throw NoLinkYet::because(new Message('rooms.link.taken'));
        }
    }

    public function rename(string $roomId, string $name, bool $byHand): void
    {
        $this->db->update('room', ['name' => $name, 'named_by_hand' => $byHand ? 't' : 'f'], ['id' => $roomId]);
    }

    public function allow(string $roomId, RoomPermissionChanges $allowed): void
    {
        $flag = static fn (?bool $may): ?string => null === $may ? null : ($may ? 't' : 'f');
        $this->db->update(
            'room',
            [
                'may_record' => $flag($allowed->record),
                'may_share_screen' => $flag($allowed->shareScreen),
                'may_write' => $flag($allowed->write),
            ],
            ['id' => $roomId],
        );
    }

    /**
     * Rooms of a class that live for a round, or as long as their grouping.
     */
    public function live(string $classId, RoomLife $life): void
    {
        $this->db->executeStatement("UPDATE room SET life = ? WHERE class_id = ? AND purpose = 'group'", [
            $life->value,
            $classId,
        ]);
    }

    /**
     * From now on it comes from elsewhere, where it has to be brought about first.
     */
    public function moveTo(string $roomId, SourceKind $source): void
    {
        $this->db->transactional(function () use ($roomId, $source): void {
            $this->db->update(
                'room',
                [
                    'source' => $source->value,
                    'state' => RoomState::Planned->value,
                    'failure' => null,
                    'external_id' => null,
                    'link' => null,
                    'normal_link' => null,
                    'link_owner_id' => null,
                    'tried_at' => null,
                    'opened_at' => null,
                ],
                ['id' => $roomId],
            );
            $this->db->delete('room_member', ['room_id' => $roomId]);
            $this->db->delete('room_helper', ['room_id' => $roomId]);
        });
    }

    /**
     * @param int|null $at milliseconds since 1970; null: it has yet to be tried
     */
    public function tried(string $roomId, ?int $at): void
    {
        $this->db->update('room', ['tried_at' => $at], ['id' => $roomId]);
    }

    /**
     * @param int $at milliseconds since 1970
     */
    public function opened(string $roomId, int $at): void
    {
        $this->db->update('room', ['opened_at' => $at], ['id' => $roomId]);
    }

    /**
     * The meeting service does not know it any more: it has to be made again.
     */
    public function lost(string $roomId): void
    {
        $this->db->transactional(function () use ($roomId): void {
            $this->db->update(
                'room',
                [
                    'state' => RoomState::Planned->value,
                    'external_id' => null,
                    'missed_at' => null,
                    'tried_at' => null,
                ],
                ['id' => $roomId],
            );
            $this->db->delete('room_member', ['room_id' => $roomId]);
            $this->db->delete('room_helper', ['room_id' => $roomId]);
        });
    }

    /**
     * @param int|null $at milliseconds since 1970; null: it is where it was made
     */
    public function missed(string $roomId, ?int $at): void
    {
        $this->db->update('room', ['missed_at' => $at], ['id' => $roomId]);
    }

    public function takeAway(string $roomId): void
    {
        $this->db->delete('room', ['id' => $roomId]);
    }

    /**
     * @param array<string, string> $links   student's id => their way in
     * @param array<string, string> $helpers staff's id => their way in
     */
    public function members(string $roomId, array $links, array $helpers): void
    {
        $this->db->transactional(function () use ($roomId, $links, $helpers): void {
            $this->db->executeStatement('DELETE FROM room_member WHERE room_id = ?', [$roomId]);
            $this->db->executeStatement(
                'INSERT INTO room_member (room_id, student_id, link) SELECT ?, key::uuid, value
                    FROM jsonb_each_text(?::jsonb)',
                [$roomId, json_encode((object) $links, \JSON_THROW_ON_ERROR)],
            );
            $this->db->executeStatement('DELETE FROM room_helper WHERE room_id = ?', [$roomId]);
            foreach ($helpers as $teacher => $link) {
                $this->db->insert('room_helper', ['room_id' => $roomId, 'teacher_id' => $teacher, 'link' => $link]);
            }
            // Others may enter a room that is closed: it stays closed.
            $this->db->executeStatement(
                'UPDATE room SET failure = NULL, state = CASE WHEN state = ? THEN state ELSE ? END WHERE id = ?',
                [RoomState::Closed->value, RoomState::Made->value, $roomId],
            );
        });
    }
}
