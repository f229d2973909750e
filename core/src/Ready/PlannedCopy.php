<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Ready;

/**
 * A copy that has been made.
 */
final readonly class PlannedCopy
{
    /**
     * @param string|null       $group   whose it is: a group's, a student's, or (neither) the class's
     * @param int               $version of the original it was made from
     * @param bool              $isOfRound  it was made for this round of this class
     * @param list<string>|null $writers ids of who can open it; null: those it belongs to, as it should be
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $original,
        public ?string $group,
        public ?string $student,
        public int $version = 1,
        public bool $isOfRound = true,
        public ?array $writers = null,
    ) {
    }
}
