<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready;

use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Materials\HandOut\Copy\CopyReader;
use FreshHuddle\App\Materials\HandOut\Plan\PlannedRows;
use FreshHuddle\App\Rooms\RoomReader;
use FreshHuddle\App\Rooms\RoomView;
use FreshHuddle\Core\Grouping\Floor;

/**
 * Reads what a round has: rooms, worksheets and copies.
 */
final readonly class RoundPartsReader
{
    public function __construct(
        private RoomReader $rooms,
        private PlannedRows $rows,
        private CopyReader $copies,
    ) {
    }

    /**
     * @param list<RoomView>|null $rooms null: those it has now
     */
    public function read(Round $round, Floor $floor, ?array $rooms = null): RoundParts
    {
        $copies = $this->copies->summaries($round->id);

        return new RoundParts(
            $floor,
            $rooms ?? $this->rooms->ofRound($round->grouping->id, $round->lesson->class->id, $floor),
            $this->rows->rows($round, $floor, $copies),
            $copies,
        );
    }
}
