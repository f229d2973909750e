<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Door;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Roster\Student;

/**
 * A name a student has come in with that is not the one on the list; the teacher has said who it was.
 */
#[ORM\Entity]
#[ORM\Table(name: 'student_name')]
class StudentAlias
{
    public function __construct(
        #[ORM\Id,
            ORM\ManyToOne,
            ORM\JoinColumn(nullable: false, onDelete: 'CASCADE'),]
        public readonly Student $student,
        #[ORM\Id, ORM\Column(length: 120)]
        public readonly string $name,
    ) {
    }
}
