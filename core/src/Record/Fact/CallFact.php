<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Record\Fact;

/**
 * A group asked for help.
 */
final readonly class CallFact
{
    /**
     * @param string $student who asked
     * @param int    $until   when somebody came, they took it back, or the run ended
     */
    public function __construct(
        public string $group,
        public string $student,
        public int $at,
        public int $until,
    ) {
    }
}
