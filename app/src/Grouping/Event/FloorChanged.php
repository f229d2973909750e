<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Event;

use FreshHuddle\Core\Grouping\Floor;

/**
 * Seats, groups or their names changed on a floor.
 */
final readonly class FloorChanged
{
    public function __construct(public string $groupingId, public Floor $before, public Floor $after)
    {
    }
}
