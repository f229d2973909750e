<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms;

use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Rooms\Meeting\MeetingServiceFailed;
use FreshHuddle\App\Rooms\Meeting\RoomServices;

/**
 * Compares the rooms of a round with what the meeting service says of them.
 */
final readonly class RoomProbe
{
    public function __construct(
        private RoomReader $reader,
        private RoomStore $store,
        private RoomServices $services,
        private Clock $clock,
    ) {
    }

    /**
     * Asks the meeting service whether the rooms of a round are there, and as many may enter as should. It is not
     * believed because it said so.
     *
     * @return list<string> places of rooms that are not as they were said to be
     *
     * @throws MeetingServiceFailed
     */
    public function probe(Round $round): array
    {
        $made = [];
        foreach ($this->reader->forSetUp($round->lesson->class->id, $round->grouping->id) as $row) {
            $external = $row->bool('on_floor') ? $row->textOrNull('external_id') : null;
            // A room that is made when somebody comes is not missed before.
            if (null !== $external && false !== $this->services->find($external)?->capabilities()->keepsRooms) {
                $made[$external] = $row;
            }
        }
        $states = [] === $made ? [] : $this->services->states(array_map(strval(...), array_keys($made)));
        $wrong = [];
        foreach ($made as $external => $row) {
            $state = $states[$external] ?? null;
            if ((null === $state) !== (null !== $row->intOrNull('missed_at'))) {
                $this->store->missed($row->text('id'), null === $state ? $this->clock->ms() : null);
            }
            if (null === $state || $state->members !== \count($row->json('students')) + \count($row->json('staff'))) {
                $wrong[] = $row->text('place');
            }
        }

        return $wrong;
    }
}
