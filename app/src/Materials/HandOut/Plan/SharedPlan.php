<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\HandOut\Plan;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Lesson\Round\Round;

/**
 * A round hands out what another of its lesson does, until it is given a plan of its own. Written by HandOutPlan.
 */
#[ORM\Entity]
class SharedPlan
{
    public function __construct(
        #[ORM\Id, ORM\OneToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Round $round,
        #[ORM\ManyToOne,
            ORM\JoinColumn(name: 'with_id', nullable: false, onDelete: 'CASCADE'),]
        public readonly Round $with,
    ) {
    }
}
