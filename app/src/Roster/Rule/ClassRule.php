<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Rule;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Roster\SchoolClass;

/**
 * Who must be apart, who must be together. Private to the teacher: nothing a student can fetch reads it. Written by
 * ClassRules.
 */
#[ORM\Entity]
class ClassRule
{
    public function __construct(
        #[ORM\Id, ORM\Column(type: 'guid')]
        public readonly string $id,
        #[ORM\ManyToOne,
            ORM\JoinColumn(name: 'class_id', nullable: false, onDelete: 'CASCADE'),]
        public readonly SchoolClass $class,
        #[ORM\Column(length: 10)]
        public readonly RuleKind $kind,
    ) {
    }
}
