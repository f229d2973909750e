<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\SetUp\Part;

use FreshHuddle\App\Database\Row;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Rooms\Link\StandingLinks;
use FreshHuddle\App\Rooms\Meeting\MeetingServiceFailed;
use FreshHuddle\App\Rooms\Meeting\RoomServices;
use FreshHuddle\App\Rooms\Member\Occupants;
use FreshHuddle\App\Rooms\RoomReader;
use FreshHuddle\App\Rooms\RoundRooms;
use FreshHuddle\Core\Grouping\Floor;
use FreshHuddle\Core\Grouping\Group;
use FreshHuddle\Core\Ready\SetUp\RoomThere;
use FreshHuddle\Core\Ready\SetUp\WantedRoom;
use FreshHuddle\Core\Rooms\MainSession;
use FreshHuddle\Core\Rooms\RoomState;

/**
 * The rooms of a round: those there should be, and those that are there.
 */
final readonly class RoomPart
{
    public function __construct(
        private RoundRooms $rooms,
        private RoomReader $roomReader,
        private RoomServices $services,
        private Occupants $occupants,
        private StandingLinks $standing,
    ) {
    }

    /**
     * The rooms a round wants, made or not.
     *
     * @param array<array-key, string> $students names of everybody on the class list, by id
     * @param array<array-key, string> $staff    names by id
     *
     * @return list<WantedRoom>
     */
    public function wanted(Round $round, Floor $floor, array $students, array $staff): array
    {
        $sources = $this->roomReader->sources($round->lesson->class->id);
        $staffIds = array_map(strval(...), array_keys($staff));
        $seated = [MainSession::PLACE => array_map(strval(...), array_keys($students))];
        foreach ($floor->groups as $group) {
            $seated[$group->id] = array_values(
                array_filter($group->students, static fn (string $student): bool => isset($students[$student])),
            );
        }
        $wanted = [];
        // Links that stay with the class serve its groups in order.
        $standing = \array_slice(
            array_map(static fn (Group $group): string => $group->id, $floor->groups),
            0,
            \count($this->standing->forClass($round->lesson->class)),
        );
        foreach ($this->rooms->names($round, $floor) as $place => $name) {
            $source = $sources[$place] ?? $sources[''];
            if ($source->isHere()) {
                continue; // there is nothing to do
            }
            // A link has to be said by somebody, and a table in the classroom is there.
            $wanted[] = new WantedRoom(
                (string) $place,
                $name,
                [...$seated[$place], ...$staffIds],
                $source->hasLink() && (!$source->isPasted() || \in_array($place, $standing, true)),
            );
        }

        return $wanted;
    }

    /**
     * The rooms that are there: those of a round, and those that nobody wants any more.
     *
     * @param bool $ask whether the meeting service may be asked who is in those that are to go
     *
     * @return list<RoomThere>
     */
    public function there(Round $round, bool $ask): array
    {
        $class = $round->lesson->class;
        $rows = $this->roomReader->forSetUp($class->id, $round->grouping->id);
        $going = array_values(
            array_filter(
                array_map(
                    static fn (Row $row): ?string => $row->bool('on_floor') ? null : $row->textOrNull('external_id'),
                    $rows,
                ),
                is_string(...),
            ),
        );
        try {
            $states = $ask && [] !== $going ? $this->services->states($going) : null;
        } catch (MeetingServiceFailed) {
            $states = null;
        }
        $there = [];
        foreach ($rows as $row) {
            $isGoing = !$row->bool('on_floor');
            $state = $states[$row->textOrNull('external_id') ?? ''] ?? null;
            $inside =
                $isGoing && null !== $state && $state->people > 0
                    ? $this->occupants->withExternalId($class, (string) $row->textOrNull('external_id'))
                    : [];
            $there[] = new RoomThere(
                $row->text('id'),
                $row->text('place'),
                $row->text('name'),
                RoomState::from($row->text('state'))->hasLink(),
                null !== $row->intOrNull('missed_at'),
                array_values(array_filter([...$row->json('students'), ...$row->json('staff')], \is_string(...))),
                $row->bool('named_by_hand'),
                $inside,
                $isGoing ? $state->recordings ?? 0 : 0,
                !$isGoing || null !== $states,
            );
        }

        return $there;
    }
}
