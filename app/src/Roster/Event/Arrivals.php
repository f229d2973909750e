<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Event;

/**
 * Somebody of a class came in, left, was let in or waits in the doorway.
 */
final readonly class Arrivals
{
    /**
     * @param string|null $cameIn the student who is here from now on
     * @param string|null $left   the student whose name nobody has any more
     * @param string|null $asked  the student whose device is to say whether another one is theirs, too
     */
    public function __construct(
        public string $classId,
        public ?string $cameIn = null,
        public ?string $left = null,
        public ?string $asked = null,
    ) {
    }
}
