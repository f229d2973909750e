<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson\Run;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Grouping\Floor\WorkGroup;

/**
 * A group as it was sent out. Written by RunStore.
 */
#[ORM\Entity]
#[ORM\UniqueConstraint(name: 'run_group_position', columns: ['run_id', 'position'])]
class RunGroup
{
    public function __construct(
        #[ORM\Id, ORM\Column(type: 'guid')]
        public readonly string $id,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Run $run,
        #[ORM\ManyToOne,
            ORM\JoinColumn(name: 'group_id', nullable: true, onDelete: 'SET NULL'),]
        public readonly ?WorkGroup $group,
        /** From 0. */
        #[ORM\Column]
        public readonly int $position,
        #[ORM\Column(length: 80)]
        public readonly string $name,
        /** What it was called when the run ended. */
        #[ORM\Column(length: 80)]
        public readonly string $lastName,
        #[ORM\Column]
        public readonly int $mark,
    ) {
    }
}
