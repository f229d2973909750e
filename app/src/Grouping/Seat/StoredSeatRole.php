<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Seat;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Grouping\Grouping;

/**
 * The role that a seat's number carries at every table. Written by Numbers.
 */
#[ORM\Entity]
#[ORM\Table(name: 'seat_role')]
class StoredSeatRole
{
    public function __construct(
        #[ORM\Id,
            ORM\ManyToOne,
            ORM\JoinColumn(nullable: false, onDelete: 'CASCADE'),]
        public readonly Grouping $grouping,
        /** From 1. */
        #[ORM\Id, ORM\Column]
        public readonly int $number,
        #[ORM\Column(length: 40)]
        public string $role,
    ) {
    }
}
