<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms;

use Doctrine\DBAL\Connection;
use Doctrine\DBAL\Exception\UniqueConstraintViolationException;
use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Database\Transaction;
use FreshHuddle\App\Rooms\Exception\NoLinkYet;
use FreshHuddle\App\Rooms\Member\RoomHelper;
use FreshHuddle\App\Rooms\Member\RoomMember;
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
 * Writes rooms and who may enter them. By hand only what the ORM has no word for: two people who press at once plan
 * each room once, and the main session of a class has up to 1,200 members, who are replaced in two statements.
 */
final readonly class RoomStore
{
    /** A room that has yet to be brought about, and that nobody has been in. */
    private const NOWHERE = [
        'state' => RoomState::Planned,
        'failure' => null,
        'link' => null,
        'normalLink' => null,
        'linkOwner' => null,
        'triedAt' => null,
        'openedAt' => null,
    ];

    public function __construct(
        private EntityManagerInterface $em,
        private Connection $db,
        private Transaction $transaction,
    ) {
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
        $this->set($roomId, [
            'state' => $state,
            'failure' => null === $failure ? null : mb_substr($failure, 0, 200),
        ]);
    }

    /**
     * The service has made it: from now on we know what it is called there, whatever else goes wrong.
     */
    public function madeAs(string $roomId, string $externalId): void
    {
        $this->set($roomId, ['externalId' => $externalId]);
    }

    /**
     * Where the room is, for all who enter.
     *
     * @throws NoLinkYet if another room of the same teacher is there
     */
    public function link(Room $room, ?Link $link): void
    {
        try {
            $this->set($room->id, [
                'link' => $link?->address,
                'normalLink' => $link?->normal,
                'linkOwner' => null === $link ? null : $room->class->teacher->id,
                'linkScope' => null === $link ? null : $room->grouping->id ?? $room->class->id,
                'triedAt' => null,
                'openedAt' => null,
            ]);
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
            $this->transaction->run(function () use ($ownerId, $links, $from): void {
                foreach (array_unique([...$from, ...array_keys($links)]) as $roomId) {
                    $this->set($roomId, self::NOWHERE);
                    $this->leaveNobody($roomId);
                }
                $rooms = $this->em->getRepository(Room::class)->findBy(['id' => array_keys($links)]);
                foreach ($rooms as $room) {
                    $this->set($room->id, [
                        'link' => $links[$room->id]->address,
                        'normalLink' => $links[$room->id]->normal,
                        'linkOwner' => $ownerId,
                        'linkScope' => $room->grouping->id ?? $room->class->id,
                        'source' => SourceKind::OwnLinks,
                    ]);
                }
            });
        } catch (UniqueConstraintViolationException) {
            throw NoLinkYet::because(new Message('rooms.link.taken'));
        }
    }

    public function rename(string $roomId, string $name, bool $byHand): void
    {
        $this->set($roomId, ['name' => $name, 'namedByHand' => $byHand]);
    }

    public function allow(string $roomId, RoomPermissionChanges $allowed): void
    {
        $this->set($roomId, [
            'mayRecord' => $allowed->record,
            'mayShareScreen' => $allowed->shareScreen,
            'mayWrite' => $allowed->write,
        ]);
    }

    /**
     * Rooms of a class that live for a round, or as long as their grouping.
     */
    public function live(string $classId, RoomLife $life): void
    {
        $this->em
            ->createQuery('UPDATE '.Room::class.' r SET r.life = :life WHERE r.class = :class AND r.purpose = :group')
            ->execute(['life' => $life, 'class' => $classId, 'group' => RoomPurpose::Group]);
    }

    /**
     * From now on it comes from elsewhere, where it has to be brought about first.
     */
    public function moveTo(string $roomId, SourceKind $source): void
    {
        $this->transaction->run(function () use ($roomId, $source): void {
            $this->set($roomId, ['source' => $source, 'externalId' => null] + self::NOWHERE);
            $this->leaveNobody($roomId);
        });
    }

    /**
     * @param int|null $at milliseconds since 1970; null: it has yet to be tried
     */
    public function tried(string $roomId, ?int $at): void
    {
        $this->set($roomId, ['triedAt' => $at]);
    }

    /**
     * @param int $at milliseconds since 1970
     */
    public function opened(string $roomId, int $at): void
    {
        $this->set($roomId, ['openedAt' => $at]);
    }

    /**
     * The meeting service does not know it any more: it has to be made again.
     */
    public function lost(string $roomId): void
    {
        $this->transaction->run(function () use ($roomId): void {
            $this->set($roomId, [
                'state' => RoomState::Planned,
                'externalId' => null,
                'missedAt' => null,
                'triedAt' => null,
            ]);
            $this->leaveNobody($roomId);
        });
    }

    /**
     * @param int|null $at milliseconds since 1970; null: it is where it was made
     */
    public function missed(string $roomId, ?int $at): void
    {
        $this->set($roomId, ['missedAt' => $at]);
    }

    public function takeAway(string $roomId): void
    {
        $this->em->createQuery('DELETE FROM '.Room::class.' r WHERE r.id = :room')->execute(['room' => $roomId]);
    }

    /**
     * @param array<string, string> $links   student's id => their way in
     * @param array<string, string> $helpers staff's id => their way in
     */
    public function members(string $roomId, array $links, array $helpers): void
    {
        $this->transaction->run(function () use ($roomId, $links, $helpers): void {
            $this->leaveNobody($roomId);
            $this->db->executeStatement(
                'INSERT INTO room_member (room_id, student_id, link) SELECT ?, key::uuid, value
                    FROM jsonb_each_text(?::jsonb)',
                [$roomId, json_encode((object) $links, \JSON_THROW_ON_ERROR)],
            );
            $this->db->executeStatement(
                'INSERT INTO room_helper (room_id, teacher_id, link) SELECT ?, key::uuid, value
                    FROM jsonb_each_text(?::jsonb)',
                [$roomId, json_encode((object) $helpers, \JSON_THROW_ON_ERROR)],
            );
            $this->set($roomId, ['failure' => null]);
            // Others may enter a room that is closed: it stays closed.
            $this->em
                ->createQuery(
                    'UPDATE '.Room::class.' r SET r.state = :made WHERE r.id = :room AND r.state <> :closed',
                )
                ->execute(['made' => RoomState::Made, 'room' => $roomId, 'closed' => RoomState::Closed]);
        });
    }

    /**
     * In one statement, whatever others change of the room at the same moment.
     *
     * @param array<string, bool|int|string|\BackedEnum|null> $fields of the entity; an association by its id
     */
    private function set(string $roomId, array $fields): void
    {
        $query = $this->em->createQueryBuilder()->update(Room::class, 'r')->where('r.id = :room');
        foreach ($fields as $field => $value) {
            $query->set('r.'.$field, ':'.$field)->setParameter($field, $value);
        }
        $query->setParameter('room', $roomId)->getQuery()->execute();
    }

    private function leaveNobody(string $roomId): void
    {
        foreach ([RoomMember::class, RoomHelper::class] as $entity) {
            $this->em->createQuery("DELETE FROM {$entity} m WHERE m.room = :room")->execute(['room' => $roomId]);
        }
    }
}
