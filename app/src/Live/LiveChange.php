<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Database\Row;
use FreshHuddle\App\Grouping\Event\FloorChanged;
use FreshHuddle\App\Lesson\Moments;
use FreshHuddle\App\Rooms\Event\RoomsChanged;
use FreshHuddle\App\Rooms\RoomWork;
use FreshHuddle\App\Roster\Event\ClassChanged;
use FreshHuddle\App\Stream\Audience;
use FreshHuddle\App\Stream\Stream;
use FreshHuddle\App\Worker\Tasks;
use FreshHuddle\App\Worker\WorkFailed;
use FreshHuddle\Core\Grouping\Floor;
use FreshHuddle\Core\Lesson\Event;
use FreshHuddle\Core\Lesson\EventKind;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;

/**
 * Tells open pages, rooms and the record of what earlier areas say has changed. They say it after the commit.
 */
final readonly class LiveChange
{
    /** Above so many students a hint goes to everybody; it says nothing but “look again”. */
    private const MANY = 20;

    public function __construct(
        private Connection $db,
        private Stream $stream,
        private Tasks $tasks,
        private EventLog $events,
        private Clock $clock,
    ) {
    }

    /**
     * The class list changed: a name, somebody absent, somebody new.
     */
    #[AsEventListener]
    public function ofClass(ClassChanged $event): void
    {
        $classId = $event->classId;
        $rows = Row::all($this->db->fetchAllAssociative(
            'SELECT l.id, c.current_lesson_id = l.id AS current, r.moments FROM lesson l
             JOIN school_class c ON c.id = l.class_id JOIN round r ON r.lesson_id = l.id WHERE l.class_id = ?',
            [$classId],
        ));
        foreach ($rows as $row) {
            $this->stream->publish([Audience::staff($row->text('id'))], ['kind' => 'lesson']);
            if ($row->bool('current')) {
                $this->stream->publish([Audience::everybody($row->text('id'))], ['kind' => 'refresh']);
            }
        }
        foreach ($this->db->fetchFirstColumn('SELECT id FROM grouping WHERE class_id = ? AND removed_at IS NULL', [$classId]) as $groupingId) {
            \assert(\is_string($groupingId));
            $this->stream->publish([Audience::desk($groupingId)], ['kind' => 'desk']);
        }
        $main = $this->db->fetchOne('SELECT id FROM room WHERE class_id = ? AND group_id IS NULL AND external_id IS NOT NULL', [$classId]);
        if (\is_string($main)) {
            $this->tasks->ask(RoomWork::MEMBERS, $main);
        }
    }

    /**
     * A student arrived, or their device was given up.
     */
    public function ofArrival(?string $lessonId): void
    {
        if (null !== $lessonId) {
            $this->tasks->ensure(WatchWork::WATCH, $lessonId);
            $this->tasks->ensure(WatchWork::ASK_SERVICE, $lessonId);
            $this->stream->publish([Audience::staff($lessonId)], ['kind' => 'lesson']);
        }
    }

    /**
     * A room of the class is made, failed, or has other members.
     */
    #[AsEventListener]
    public function ofRooms(RoomsChanged $event): void
    {
        $classId = $event->classId;
        foreach ($this->db->fetchFirstColumn('SELECT id FROM lesson WHERE class_id = ?', [$classId]) as $lessonId) {
            \assert(\is_string($lessonId));
            $this->stream->publish([Audience::staff($lessonId)], ['kind' => 'lesson']);
        }
        $current = $this->db->fetchOne('SELECT current_lesson_id FROM school_class WHERE id = ?', [$classId]);
        if (\is_string($current)) {
            $this->stream->publish([Audience::everybody($current)], ['kind' => 'refresh']);
        }
    }

    /**
     * Something could not be done: the lesson's page shows it.
     */
    #[AsEventListener]
    public function ofFailure(WorkFailed $event): void
    {
        $lessons = array_filter($this->db->fetchFirstColumn('SELECT id FROM lesson WHERE class_id = ?', [$event->classId]), \is_string(...));
        $this->stream->publish(array_values(array_map(Audience::staff(...), $lessons)), ['kind' => 'lesson']);
    }

    /**
     * Seats changed on a floor: rooms let other people in, students of the groups concerned hear of it, and where groups
     * are out it stands in the record.
     */
    #[AsEventListener]
    public function ofSeats(FloorChanged $event): void
    {
        [$groupingId, $before, $after] = [$event->groupingId, $event->before, $event->after];
        [$groups, $students] = self::concerned($before, $after);
        if ([] === $groups) {
            return;
        }
        foreach ($this->roomsOf($groupingId, $groups) as $roomId) {
            $this->tasks->ask(RoomWork::MEMBERS, $roomId);
        }
        $this->stream->publish([Audience::desk($groupingId)], ['kind' => 'desk']);
        $rounds = Row::all($this->db->fetchAllAssociative('SELECT id, lesson_id, moments FROM round WHERE grouping_id = ?', [$groupingId]));
        foreach ($rounds as $round) {
            $now = $this->clock->ms();
            $moves = self::moves($before, $after, $now);
            if ([] !== $moves && Moments::read($round->json('moments'))->phase($now)->showsGroups()) {
                $this->db->transactional(function () use ($round, $moves): void {
                    $this->events->lock($round->text('lesson_id'));
                    $this->events->append($round->text('lesson_id'), $round->text('id'), 'staff', $moves);
                });
            }
            $this->stream->publish([Audience::staff($round->text('lesson_id'))], ['kind' => 'lesson']);
            $this->stream->publish(
                \count($students) > self::MANY ? [Audience::everybody($round->text('lesson_id'))] : array_map(Audience::student(...), $students),
                ['kind' => 'refresh'],
            );
        }
    }

    /**
     * @param int $now milliseconds since 1970
     *
     * @return list<Event> one for each student who sits elsewhere than before; no group is the shelf
     */
    private static function moves(Floor $before, Floor $after, int $now): array
    {
        $events = [];
        foreach (array_values(array_unique([...$before->seated(), ...$after->seated()])) as $student) {
            [$from, $to] = [$before->groupOf($student)?->id, $after->groupOf($student)?->id];
            if ($from !== $to) {
                $events[] = new Event(EventKind::SeatsChanged, $now, ['student' => $student, 'from' => $from, 'to' => $to]);
            }
        }

        return $events;
    }

    /**
     * @return array{list<string>, list<string>} ids of the groups that changed, and of everybody in them before or after
     */
    private static function concerned(Floor $before, Floor $after): array
    {
        $old = [];
        foreach ($before->groups as $group) {
            $old[$group->id] = $group;
        }
        $groups = $students = [];
        foreach ($after->groups as $group) {
            $was = $old[$group->id] ?? null;
            unset($old[$group->id]);
            if (null === $was || $was->students !== $group->students || $was->name !== $group->name) {
                $groups[] = $group->id;
                array_push($students, ...$group->students, ...$was->students ?? []);
            }
        }
        foreach ($old as $gone) {
            $groups[] = $gone->id;
            array_push($students, ...$gone->students);
        }

        return [$groups, array_values(array_unique($students))];
    }

    /**
     * @param list<string> $groupIds
     *
     * @return list<string>
     */
    private function roomsOf(string $groupingId, array $groupIds): array
    {
        $rooms = Row::all($this->db->fetchAllAssociative('SELECT id, group_id FROM room WHERE grouping_id = ? AND external_id IS NOT NULL', [$groupingId]));

        return array_values(array_map(
            static fn (Row $room): string => $room->text('id'),
            array_filter($rooms, static fn (Row $room): bool => \in_array($room->textOrNull('group_id'), $groupIds, true)),
        ));
    }
}
