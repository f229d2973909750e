<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson\Run;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Roster\Student;

/**
 * A student as sent out: in which group, with which number and role. Written by RunStore.
 */
#[ORM\Entity]
#[ORM\UniqueConstraint(name: 'run_seat_number', columns: ['run_group_id', 'number'])]
class RunSeat
{
    public function __construct(
        #[ORM\Id, ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Run $run,
        #[ORM\Id,
            ORM\ManyToOne,
            ORM\JoinColumn(nullable: false, onDelete: 'CASCADE'),]
        public readonly Student $student,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly RunGroup $runGroup,
        #[ORM\Column(length: 120)]
        public readonly string $name,
        /** From 1. */
        #[ORM\Column]
        public readonly int $number,
        /** '' for none. */
        #[ORM\Column(length: 40)]
        public readonly string $role,
    ) {
    }
}
