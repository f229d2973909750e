<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready;

use FreshHuddle\App\Materials\HandOut\Copy\CopySummary;
use FreshHuddle\App\Materials\HandOut\Plan\RowView;
use FreshHuddle\App\Rooms\RoomView;
use FreshHuddle\Core\Grouping\Floor;

/**
 * What a round has: its groups, their rooms, the worksheets and the copies.
 */
final readonly class RoundParts
{
    /**
     * @param list<RoomView>    $rooms
     * @param list<RowView>     $rows   the hand-out plan
     * @param list<CopySummary> $copies
     */
    public function __construct(
        public Floor $floor,
        public array $rooms,
        public array $rows,
        public array $copies,
    ) {
    }
}
