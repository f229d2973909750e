<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Seat;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Grouping\Grouping;

/**
 * A task that some numbers of seats carry at every table (SeatTaskNumber). Written by Numbers.
 */
#[ORM\Entity]
#[ORM\Table(name: 'seat_task')]
class StoredSeatTask
{
    public function __construct(
        #[ORM\Id,
            ORM\ManyToOne,
            ORM\JoinColumn(nullable: false, onDelete: 'CASCADE'),]
        public readonly Grouping $grouping,
        /** Among the tasks, from 1. */
        #[ORM\Id, ORM\Column]
        public readonly int $position,
        #[ORM\Column(length: 200)]
        public string $task,
    ) {
    }
}
