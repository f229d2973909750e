<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Floor;

use FreshHuddle\App\Http\Body\Id;
use FreshHuddle\App\Http\Body\Ids;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * The body of a request: one change of the groups.
 */
final readonly class EditFloor
{
    /**
     * @param int          $basedOn  the step the change was made on
     * @param string|null  $student  for seat, swap, shelve, fix, free
     * @param string|null  $other    for swap
     * @param string|null  $group    for seat, rename, removeTable, split, merge
     * @param string|null  $name     for rename
     * @param string|null  $into     for merge: the table they go to
     * @param list<string> $students for split: those who go to the new table
     */
    public function __construct(
        public int $basedOn,
        public EditKind $kind,
        #[Id]
        public ?string $student = null,
        #[Id]
        public ?string $other = null,
        #[Id]
        public ?string $group = null,
        #[Assert\Length(max: 60, maxMessage: 'grouping.group_name_at_most_60_characters'),]
        public ?string $name = null,
        #[Id]
        public ?string $into = null,
        #[Ids(400)]
        public array $students = [],
    ) {
    }
}
