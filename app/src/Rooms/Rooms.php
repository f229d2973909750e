<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms;

use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Lesson\Round;
use FreshHuddle\App\Rooms\Exception\RoomsRefused;
use FreshHuddle\App\Rooms\Meeting\MeetingServiceFailed;
use FreshHuddle\App\Rooms\Meeting\RoomService;
use FreshHuddle\App\Worker\Tasks;
use FreshHuddle\Core\Grouping\Exception\NotOnTheFloor;
use FreshHuddle\Core\Rooms\NamePattern;
use FreshHuddle\Core\Rooms\RoomState;

/**
 * The rooms of a round: one for each group, and the main session of the class.
 */
final readonly class Rooms
{
    private const PATTERN = '{class} · {n} {group}';
    private const MAIN_PATTERN = '{class} · Main session';

    public function __construct(private RoomStore $store, private RoomReader $reader, private FloorStore $floors, private Tasks $tasks, private Membership $membership, private RoomService $service)
    {
    }

    /**
     * Has every room made that is not there yet. Pressed twice, or by two people at once, each is made once.
     *
     * @throws RoomsRefused while there are no groups
     */
    public function make(Round $round): void
    {
        $floor = $this->floors->now($round->grouping->id);
        if ([] === $floor->groups) {
            throw RoomsRefused::unusable('rooms.no_groups');
        }
        $class = $round->lesson->class;
        $values = ['class' => $class->name, 'lesson' => $round->lesson->title, 'teacher' => $class->teacher->name];
        $this->store->plan($class->id, null, null, (new NamePattern(self::MAIN_PATTERN))->name($values));
        foreach ($floor->groups as $i => $group) {
            $name = (new NamePattern(self::PATTERN))->name($values + ['group' => $group->name, 'n' => $i + 1]);
            $this->store->plan($class->id, $round->grouping->id, $group->id, $name);
        }
        foreach ($this->reader->ofRound($round->grouping->id, $class->id, $floor) as $room) {
            if (RoomState::Planned === $room->state || RoomState::Failed === $room->state) {
                $this->store->note($room->id, RoomState::Planned);
                $this->tasks->ensure(RoomWork::MAKE, $room->id);
            }
        }
    }

    /**
     * @return string the address that lets this teacher in
     *
     * @throws RoomsRefused where there is none yet, or the meeting service does not do it
     */
    public function way(Room $room, Teacher $teacher): string
    {
        if (null === $room->externalId) {
            throw RoomsRefused::unusable('rooms.not_made');
        }
        try {
            if (null === $this->reader->linkOf($room->id, $teacher->id)) {
                $this->membership->bring($room); // they joined the class after the room was made
            }
        } catch (MeetingServiceFailed $e) {
            throw RoomsRefused::because($e->says);
        } catch (NotOnTheFloor) {
            throw RoomsRefused::unusable('rooms.not_made');
        }

        return $this->service->letIn($this->reader->linkOf($room->id, $teacher->id) ?? throw RoomsRefused::unusable('rooms.not_made'));
    }

    public function retry(Room $room): void
    {
        if (RoomState::Failed === $room->state) {
            $this->store->note($room->id, RoomState::Planned);
            $this->tasks->ask(RoomWork::MAKE, $room->id);
        }
    }
}
