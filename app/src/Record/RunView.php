<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record;

use FreshHuddle\Core\Record\Fact\GroupFact;

/**
 * One time a round was sent out.
 */
final readonly class RunView
{
    /**
     * @param list<GroupFact> $groups
     */
    public function __construct(
        public string $id,
        public int $round,
        public int $from,
        public int $to,
        public array $groups,
    ) {
    }
}
