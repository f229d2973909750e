<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Staff;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Roster\SchoolClass;

/**
 * Who helps in a class beside its owner. That a class has an owner stands with the class.
 */
#[ORM\Entity]
class ClassStaff
{
    public function __construct(
        #[ORM\Id,
            ORM\ManyToOne,
            ORM\JoinColumn(name: 'class_id', nullable: false, onDelete: 'CASCADE'),]
        public readonly SchoolClass $class,
        #[ORM\Id,
            ORM\ManyToOne,
            ORM\JoinColumn(nullable: false, onDelete: 'CASCADE'),]
        public readonly Teacher $teacher,
        #[ORM\Column(length: 10)]
        public StaffRole $role,
    ) {
    }
}
