<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Rule;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Roster\Student;

/**
 * Somebody a must speaks of. Written by ClassRules.
 */
#[ORM\Entity]
#[ORM\UniqueConstraint(name: 'class_rule_student_position', columns: ['rule_id', 'position'])]
class ClassRuleStudent
{
    public function __construct(
        #[ORM\Id,
            ORM\ManyToOne,
            ORM\JoinColumn(nullable: false, onDelete: 'CASCADE'),]
        public readonly ClassRule $rule,
        #[ORM\Id,
            ORM\ManyToOne,
            ORM\JoinColumn(nullable: false, onDelete: 'CASCADE'),]
        public readonly Student $student,
        /** From 0. */
        #[ORM\Column]
        public readonly int $position,
    ) {
    }
}
