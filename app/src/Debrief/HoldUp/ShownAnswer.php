<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\HoldUp;

/**
 * What stands in a place of shown work.
 */
final readonly class ShownAnswer
{
    /**
     * @param string $key  tells it from others in the same place, and says nothing of whose it is
     * @param string $name of who wrote it; '' where no names are shown, and for an answer of the whole group
     */
    public function __construct(
        public string $slot,
        public string $key,
        public string $name,
        public string $text,
    ) {
    }
}
