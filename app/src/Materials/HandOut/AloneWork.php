<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\HandOut;

/**
 * A worksheet that everybody works on alone, in a segment of its own.
 */
final readonly class AloneWork
{
    /**
     * @param string $roundSegment the segment of the round in whose plan it stands
     */
    public function __construct(
        public string $segment,
        public string $original,
        public string $title,
        public string $round,
        public string $roundSegment,
    ) {
    }
}
