<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\Sum;

/**
 * A group, or a student of one, whose answers are in a sum.
 */
final readonly class SumSource
{
    /**
     * @param string      $id    of the group or the student
     * @param string|null $group the group's id; null: they sit in none
     * @param int|null    $mark  the group's colour and sign
     */
    public function __construct(
        public string $id,
        public string $name,
        public ?string $group,
        public string $groupName,
        public ?int $mark,
    ) {
    }
}
