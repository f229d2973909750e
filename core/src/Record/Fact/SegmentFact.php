<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Record\Fact;

use FreshHuddle\Core\Lesson\SegmentKind;

/**
 * A part of the running order, as it was held.
 */
final readonly class SegmentFact
{
    /**
     * @param int $from milliseconds since 1970, as all moments of facts
     */
    public function __construct(
        public SegmentKind $kind,
        public int $from,
        public int $to,
    ) {
    }
}
