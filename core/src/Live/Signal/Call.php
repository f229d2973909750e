<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Live\Signal;

/**
 * A group that asks for the teacher. Moments are milliseconds since 1970.
 */
final readonly class Call
{
    /**
     * @param string   $by     the student who called
     * @param int|null $seenAt when the teacher let them know that it was seen; null: not yet
     */
    public function __construct(
        public string $by,
        public CallAbout $about,
        public int $at,
        public ?int $seenAt = null,
    ) {
    }
}
