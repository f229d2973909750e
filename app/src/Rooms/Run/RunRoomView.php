<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Run;

use FreshHuddle\Core\Rooms\SourceKind;

/**
 * The room a group had in a run.
 */
final readonly class RunRoomView
{
    /**
     * @param string      $group the group's name
     * @param string      $name  the room's name
     * @param string|null $link  the address everybody went in by; null where each had their own, and where there was
     *                           none
     */
    public function __construct(
        public string $group,
        public string $name,
        public SourceKind $source,
        public ?string $link,
    ) {
    }
}
