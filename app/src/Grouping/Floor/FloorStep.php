<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Floor;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Grouping\Grouping;

/**
 * A floor as it was, for undo and redo and for nothing else. Written by FloorStore.
 */
#[ORM\Entity]
class FloorStep
{
    /**
     * @param array<string, mixed> $floor see FloorJson
     */
    public function __construct(
        #[ORM\Id,
            ORM\ManyToOne,
            ORM\JoinColumn(nullable: false, onDelete: 'CASCADE'),]
        public readonly Grouping $grouping,
        #[ORM\Id, ORM\Column]
        public readonly int $number,
        /** A word for what was done: deal, seat, swap, … */
        #[ORM\Column(length: 40)]
        public readonly string $what,
        #[ORM\Column(type: 'json', options: ['jsonb' => true])]
        public readonly array $floor,
    ) {
    }
}
