<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Record;

/**
 * A stretch of time in which a student was in one place.
 */
final readonly class StripSpan
{
    /**
     * @param int         $from  milliseconds since 1970
     * @param string|null $group which, where they were in their group
     */
    public function __construct(
        public int $from,
        public int $to,
        public StripKind $kind,
        public ?string $group = null,
    ) {
    }
}
