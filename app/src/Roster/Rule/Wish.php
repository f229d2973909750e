<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Rule;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Roster\Student;

/**
 * One of a class would like to be with another. Private to the teacher: nothing a student can fetch reads it. Written
 * by Wishes.
 */
#[ORM\Entity]
class Wish
{
    public function __construct(
        #[ORM\Id,
            ORM\ManyToOne,
            ORM\JoinColumn(nullable: false, onDelete: 'CASCADE'),]
        public readonly Student $student,
        #[ORM\Id,
            ORM\ManyToOne,
            ORM\JoinColumn(nullable: false, onDelete: 'CASCADE'),]
        public readonly Student $wishedFor,
    ) {
    }
}
