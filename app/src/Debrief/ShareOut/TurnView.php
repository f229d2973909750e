<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\ShareOut;

/**
 * A group's turn, for the teacher.
 */
final readonly class TurnView
{
    /**
     * @param int      $mark    which colour and sign
     * @param int      $share   of the time: 2 gets twice as much as 1
     * @param int      $forMs   how long it has or had, in milliseconds; of those to come: as things stand
     * @param int|null $begunAt milliseconds since 1970
     */
    public function __construct(
        public string $id,
        public string $groupId,
        public string $name,
        public int $mark,
        public int $share,
        public int $forMs,
        public ?int $begunAt,
        public ?int $endsAt,
        public ?int $endedAt,
    ) {
    }
}
