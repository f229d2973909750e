<?php

declare(strict_types=1);

namespace FreshHuddle\Core\DryRun\Rehearsal;

use FreshHuddle\Core\DryRun\Blank;

/**
 * A group of a round, as far as a rehearsal needs it.
 */
final readonly class PlannedTable
{
    /**
     * @param list<string> $students ids of those who sit here
     * @param list<Blank>  $blanks   what there is to fill, in the order of the pages
     */
    public function __construct(
        public string $id,
        public string $name,
        public array $students,
        public array $blanks,
    ) {
    }
}
