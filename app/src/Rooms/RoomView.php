<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms;

use FreshHuddle\Core\Rooms\RoomPurpose;
use FreshHuddle\Core\Rooms\RoomState;
use FreshHuddle\Core\Rooms\SourceKind;

/**
 * A room, as the teacher sees it.
 */
final readonly class RoomView
{
    /**
     * @param string|null $groupId   null for the main session and side rooms
     * @param bool        $working   it is being made or changed just now
     * @param string|null $failure   why not, where it failed or is tried again
     * @param string|null $link      the one address everybody goes in by, where there is one
     * @param bool|null   $mayRecord whether students may record in it; null, as in the two below: as in the class's
     *     rooms
     * @param int|null    $triedAt   when a teacher said that this was it. Milliseconds since 1970
     * @param int|null    $missedAt  when the meeting service no longer knew it. Milliseconds since 1970
     * @param int|null    $openedAt  when whoever opens it said it was open. Milliseconds since 1970
     */
    public function __construct(
        public string $id,
        public RoomPurpose $purpose,
        public ?string $groupId,
        public string $name,
        public RoomState $state,
        public bool $working,
        public ?string $failure,
        public SourceKind $source,
        public ?string $link,
        public ?bool $mayRecord,
        public ?bool $mayShareScreen,
        public ?bool $mayWrite,
        public ?int $triedAt,
        public ?int $openedAt,
        public ?int $missedAt,
    ) {
    }
}
