<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Grouping\Floor\WorkGroup;
use FreshHuddle\App\Lesson\Round;

/**
 * A group’s copy: one a round and group, with what the original held when it was made. Written by Materials.
 */
#[ORM\Entity]
#[ORM\UniqueConstraint(name: 'work_copy_group', columns: ['round_id', 'group_id'])]
class WorkCopy
{
    public function __construct(
        #[ORM\Id, ORM\Column(type: 'guid')]
        public readonly string $id,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Round $round,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Master $original,
        #[ORM\Column]
        public readonly int $originalVersion,
        #[ORM\ManyToOne, ORM\JoinColumn(name: 'group_id', nullable: false)]
        public readonly WorkGroup $group,
        #[ORM\Column(length: 500)]
        public readonly string $name,
        #[ORM\Column(length: 120)]
        public readonly string $title,
        /** @var list<array<string, string>> */
        #[ORM\Column(type: 'json', options: ['jsonb' => true])]
        public readonly array $blocks,
    ) {
    }
}
