<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Link;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Roster\SchoolClass;

/**
 * A link of the teacher's own that stays with a class: the first is for the first group of whatever groups come, and so
 * on. Written by StandingLinks.
 */
#[ORM\Entity]
class StandingLink
{
    public function __construct(
        #[ORM\Id,
            ORM\ManyToOne,
            ORM\JoinColumn(name: 'class_id', nullable: false, onDelete: 'CASCADE'),]
        public readonly SchoolClass $class,
        /** From 0. */
        #[ORM\Id, ORM\Column]
        public readonly int $position,
        #[ORM\Column(length: 1000)]
        public readonly string $link,
    ) {
    }
}
