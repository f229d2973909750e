<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Event;

/**
 * The meeting service has been told who may enter a room.
 */
final readonly class MembersSet
{
    /**
     * @param string       $external what the service calls the room
     * @param list<string> $students
     */
    public function __construct(
        public string $external,
        public ?string $groupingId,
        public ?string $groupId,
        public array $students,
    ) {
    }
}
