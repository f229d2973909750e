<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Floor;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Grouping\Grouping;

/**
 * A group of a grouping: what a room, a copy and an answer point at. It outlives its seats, and it outlives its table
 * too, so that taking one away can be undone with all that hangs on it. Written by FloorStore.
 */
#[ORM\Entity]
#[ORM\Table(name: 'work_group')]
#[ORM\UniqueConstraint(name: 'work_group_position', columns: ['grouping_id', 'position'])]
class WorkGroup
{
    public function __construct(
        #[ORM\Id, ORM\Column(type: 'guid')]
        public readonly string $id,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Grouping $grouping,
        /** From 0, in the order of the floor; null: its table has been taken away. */
        #[ORM\Column(nullable: true)]
        public ?int $position,
        #[ORM\Column(length: 80)]
        public string $name,
        /** Which colour and sign, from 0. */
        #[ORM\Column]
        public int $mark,
    ) {
    }
}
