<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Database\Row;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Lesson\Moments;
use FreshHuddle\App\Rooms\Event\RoomsChanged;
use FreshHuddle\App\Rooms\Meeting\MeetingServiceFailed;
use FreshHuddle\App\Rooms\Meeting\RoomService;
use FreshHuddle\App\Worker\Task;
use FreshHuddle\App\Worker\TaskHandler;
use FreshHuddle\App\Worker\TryAgain;
use FreshHuddle\Core\Grouping\Exception\NotOnTheFloor;
use FreshHuddle\Core\Rooms\RoomState;
use Psr\EventDispatcher\EventDispatcherInterface;

/**
 * Makes rooms at the meeting service and says who may enter them. The subject of a task is our id of the room.
 */
final readonly class RoomWork implements TaskHandler
{
    public const MAKE = 'makeRoom';
    public const MEMBERS = 'roomMembers';

    private const MOST_TRIES = 4;

    public function __construct(
        private Connection $db,
        private FloorStore $floors,
        private RoomService $service,
        private EventDispatcherInterface $events,
        private Clock $clock,
    ) {
    }

    public static function kinds(): array
    {
        return [self::MAKE, self::MEMBERS];
    }

    public function classOf(Task $task): ?string
    {
        $class = $this->db->fetchOne('SELECT class_id FROM room WHERE id = ?', [$task->subject]);

        return \is_string($class) ? $class : null;
    }

    public function handle(Task $task): ?int
    {
        $row = $this->db->fetchAssociative('SELECT * FROM room WHERE id = ?', [$task->subject]);
        if (false === $row) {
            return null;
        }
        $room = new Row($row);
        try {
            $this->make($room);
            if (self::MEMBERS === $task->kind) {
                $this->moveWhoSitsHereNow($room->text('id'));
            }
        } catch (MeetingServiceFailed $e) {
            $this->failed($task, $room, $e);
        } catch (NotOnTheFloor) {
            return null; // the table was taken away meanwhile
        }
        $this->events->dispatch(new RoomsChanged($room->text('class_id')));

        return null;
    }

    /**
     * @throws MeetingServiceFailed
     * @throws NotOnTheFloor
     */
    private function make(Row $room): void
    {
        $people = $this->people($room);
        $external = $room->textOrNull('external_id');
        if (null === $external) {
            $external = $this->service->make($room->text('id'), $room->text('name'));
            $this->db->update('room', ['external_id' => $external], ['id' => $room->text('id')]);
        }
        $links = $this->service->setMembers($external, $people);
        $this->db->transactional(function () use ($room, $links): void {
            $this->db->delete('room_member', ['room_id' => $room->text('id')]);
            foreach ($links as $student => $link) {
                $this->db->insert('room_member', ['room_id' => $room->text('id'), 'student_id' => $student, 'link' => $link]);
            }
            $this->db->update('room', ['state' => RoomState::Made->value, 'failure' => null], ['id' => $room->text('id')]);
        });
    }

    /**
     * While groups are out, whoever has been given a seat at this table is taken to its room.
     *
     * @throws MeetingServiceFailed
     */
    private function moveWhoSitsHereNow(string $roomId): void
    {
        $rows = Row::all($this->db->fetchAllAssociative(
            'SELECT m.external_id, p.student_id, r.moments FROM room m JOIN room_member p ON p.room_id = m.id
             JOIN round r ON r.grouping_id = m.grouping_id WHERE m.id = ?',
            [$roomId],
        ));
        $moves = [];
        foreach ($rows as $row) {
            if (Moments::read($row->json('moments'))->phase($this->clock->ms())->isOut()) {
                $moves[$row->text('student_id')] = $row->text('external_id');
            }
        }
        if ([] !== $moves) {
            $this->service->move($moves);
        }
    }

    private function failed(Task $task, Row $room, MeetingServiceFailed $failure): void
    {
        if ($failure->worthRetrying && $task->attempts < self::MOST_TRIES) {
            throw new TryAgain($failure->getMessage(), 500 * 2 ** $task->attempts);
        }
        // A room that was made before stays usable for those whom it knew.
        $state = null === $room->textOrNull('external_id') || RoomState::Planned->value === $room->text('state') ? RoomState::Failed->value : $room->text('state');
        $this->db->update('room', ['state' => $state, 'failure' => $failure->getMessage()], ['id' => $room->text('id')]);
    }

    /**
     * @return array<string, string> student's id => name
     *
     * @throws NotOnTheFloor
     */
    private function people(Row $room): array
    {
        $people = [];
        $rows = Row::all($this->db->fetchAllAssociative('SELECT id, name FROM student WHERE class_id = ? AND removed_at IS NULL', [$room->text('class_id')]));
        foreach ($rows as $row) {
            $people[$row->text('id')] = $row->text('name');
        }
        $groupId = $room->textOrNull('group_id');
        if (null === $groupId) {
            return $people;
        }
        $seated = $this->floors->now($room->text('grouping_id'))->group($groupId)->students;

        return array_intersect_key($people, array_flip($seated));
    }
}
