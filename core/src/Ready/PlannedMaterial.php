<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Ready;

/**
 * An original of the hand-out plan.
 */
final readonly class PlannedMaterial
{
    /**
     * @param int                           $version    as it is now
     * @param string|null                   $unfinished why it cannot be copied yet
     * @param list<string>                  $variants   the names of its forms, beside the plain one
     * @param array<array-key, string|null> $gets the form each group gets, by group's id; '' for the plain one, null
     *     for nothing
     * @param int                           $missing    copies still to be made
     * @param bool                          $open       students could write in the original itself
     * @param bool                          $byStudent  which form somebody gets follows from the class list
     * @param bool                          $spoken     there is a spoken note in it
     */
    public function __construct(
        public string $id,
        public string $title,
        public int $version = 1,
        public ?string $unfinished = null,
        public array $variants = [],
        public array $gets = [],
        public int $missing = 0,
        public bool $open = false,
        public bool $byStudent = false,
        public bool $spoken = false,
    ) {
    }
}
