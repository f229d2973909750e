<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Seat;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Grouping\Grouping;

/**
 * A number of a seat that carries a task. Written by Numbers.
 */
#[ORM\Entity]
class SeatTaskNumber
{
    public function __construct(
        #[ORM\Id, ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Grouping $grouping,
        /** Of the task among the tasks, from 1. */
        #[ORM\Id, ORM\Column]
        public readonly int $position,
        /** Of the seat, from 1. */
        #[ORM\Id, ORM\Column]
        public readonly int $number,
    ) {
    }
}
