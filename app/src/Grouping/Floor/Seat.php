<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Floor;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Grouping\Grouping;
use FreshHuddle\App\Roster\Student;

/**
 * A student's seat in a grouping: one at the most, and each number of a group once. Written by FloorStore.
 */
#[ORM\Entity]
#[ORM\UniqueConstraint(name: 'seat_number', columns: ['group_id', 'number'])]
class Seat
{
    public function __construct(
        #[ORM\Id,
            ORM\ManyToOne,
            ORM\JoinColumn(nullable: false, onDelete: 'CASCADE'),]
        public readonly Grouping $grouping,
        #[ORM\Id,
            ORM\ManyToOne,
            ORM\JoinColumn(nullable: false, onDelete: 'CASCADE'),]
        public readonly Student $student,
        #[ORM\ManyToOne,
            ORM\JoinColumn(name: 'group_id', nullable: false, onDelete: 'CASCADE'),]
        public WorkGroup $group,
        /** From 1. */
        #[ORM\Column]
        public int $number,
        /** The student stays here when the rest is dealt again. */
        #[ORM\Column]
        public bool $fixed,
    ) {
    }
}
