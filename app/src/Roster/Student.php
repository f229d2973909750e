<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster;

use Doctrine\ORM\Mapping as ORM;

#[ORM\Entity]
class Student
{
    #[ORM\Column]
    public bool $absent = false;

    /** Removed students keep their work; they are on no list and can be brought back. */
    #[ORM\Column(type: 'datetimetz_immutable', nullable: true)]
    public ?\DateTimeImmutable $removedAt = null;

    public function __construct(
        #[ORM\Id, ORM\Column(type: 'guid')]
        public readonly string $id,
        #[ORM\ManyToOne, ORM\JoinColumn(name: 'class_id', nullable: false)]
        public readonly SchoolClass $class,
        #[ORM\Column(length: 120)]
        public string $name,
        #[ORM\Column]
        public int $position,
    ) {
    }
}
