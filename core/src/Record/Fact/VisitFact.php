<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Record\Fact;

/**
 * Somebody of the staff was with a group.
 */
final readonly class VisitFact
{
    /**
     * @param string $teacher an id
     */
    public function __construct(
        public string $group,
        public string $teacher,
        public int $from,
        public int $to,
    ) {
    }
}
