<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Recording;

/**
 * A recording of a room.
 */
final readonly class RecordingView
{
    /**
     * @param string   $place     `main`, or the id of a group or a side room
     * @param string   $name      what the place was called then; '' for the main session
     * @param int      $startedAt milliseconds since 1970
     * @param int|null $endedAt   milliseconds since 1970; null: it is running
     * @param int|null $expiresAt milliseconds since 1970: gone then; null: it is running
     * @param int      $bytes     of the file; 0 until it is ready
     */
    public function __construct(
        public string $id,
        public RecordingState $state,
        public string $place,
        public string $name,
        public int $startedAt,
        public ?int $endedAt,
        public ?int $expiresAt,
        public int $bytes,
    ) {
    }
}
