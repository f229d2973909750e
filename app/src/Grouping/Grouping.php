<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Roster\SchoolClass;

/**
 * A named set of groups of one class. Its floors, one a step, are kept by FloorStore.
 */
#[ORM\Entity]
class Grouping
{
    /** Which of the kept floors is the present one. */
    #[ORM\Column]
    public int $step = 0;

    #[ORM\Column(type: 'datetimetz_immutable', nullable: true)]
    public ?\DateTimeImmutable $removedAt = null;

    public function __construct(
        #[ORM\Id, ORM\Column(type: 'guid')]
        public readonly string $id,
        #[ORM\ManyToOne, ORM\JoinColumn(name: 'class_id', nullable: false)]
        public readonly SchoolClass $class,
        #[ORM\Column(length: 80)]
        public string $name,
    ) {
    }
}
