<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson\Run;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Roster\Student;

/**
 * Where a student sits while a run goes on, and sat when it ended: follows every change until then, and none after.
 * Written by RunStore.
 */
#[ORM\Entity]
#[ORM\UniqueConstraint(name: 'run_last_seat_number', columns: ['run_group_id', 'number'])]
class RunLastSeat
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
        /** '' for none. */
        #[ORM\Column(type: 'text')]
        public readonly string $task,
    ) {
    }
}
