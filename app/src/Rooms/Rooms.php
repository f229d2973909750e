<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Row;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Http\Problem;
use FreshHuddle\App\Lesson\Round;
use FreshHuddle\App\Worker\Tasks;
use FreshHuddle\Core\Grouping\Floor;
use FreshHuddle\Core\Rooms\NamePattern;
use FreshHuddle\Core\Rooms\RoomState;
use Symfony\Component\Uid\Uuid;

/**
 * The rooms of a round: one for each group, and the main session of the class.
 */
final readonly class Rooms
{
    private const PATTERN = '{class} · {n} {group}';
    private const MAIN_PATTERN = '{class} · Main session';

    public function __construct(private Connection $db, private FloorStore $floors, private Tasks $tasks)
    {
    }

    /**
     * Has every room made that is not there yet. Pressed twice, or by two people at once, each is made once.
     *
     * @throws Problem 422 while there are no groups
     */
    public function make(Round $round): void
    {
        $floor = $this->floors->now($round->grouping->id);
        if ([] === $floor->groups) {
            throw new Problem(422, 'There are no groups yet, so there is nothing to make rooms for.');
        }
        $class = $round->lesson->class;
        $values = ['class' => $class->name, 'lesson' => $round->lesson->title, 'teacher' => $class->teacher->name];
        $this->plan($class->id, null, null, (new NamePattern(self::MAIN_PATTERN))->name($values));
        foreach ($floor->groups as $i => $group) {
            $name = (new NamePattern(self::PATTERN))->name($values + ['group' => $group->name, 'n' => $i + 1]);
            $this->plan($class->id, $round->grouping->id, $group->id, $name);
        }
        $this->askFor($this->ofRound($round->grouping->id, $class->id, $floor), [RoomState::Planned, RoomState::Failed]);
    }

    public function retry(Room $room): void
    {
        if (RoomState::Failed === $room->state) {
            $this->db->update('room', ['state' => RoomState::Planned->value], ['id' => $room->id]);
            $this->tasks->ask(RoomWork::MAKE, $room->id);
        }
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

    private function plan(string $classId, ?string $groupingId, ?string $groupId, string $name): void
    {
        $this->db->executeStatement(
            'INSERT INTO room (id, class_id, grouping_id, group_id, name, state) VALUES (?, ?, ?, ?, ?, ?) ON CONFLICT DO NOTHING',
            [Uuid::v7()->toRfc4122(), $classId, $groupingId, $groupId, $name, RoomState::Planned->value],
        );
    }

    /**
     * @param list<RoomView>  $rooms
     * @param list<RoomState> $states
     */
    private function askFor(array $rooms, array $states): void
    {
        foreach ($rooms as $room) {
            if (\in_array($room->state, $states, true)) {
                $this->db->update('room', ['state' => RoomState::Planned->value, 'failure' => null], ['id' => $room->id]);
                $this->tasks->ensure(RoomWork::MAKE, $room->id);
            }
        }
    }
}
