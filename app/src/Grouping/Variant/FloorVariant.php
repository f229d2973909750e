<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Variant;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Grouping\Grouping;

/**
 * A floor laid aside, to be held against another. Written by Variants.
 */
#[ORM\Entity]
class FloorVariant
{
    public function __construct(
        #[ORM\Id, ORM\Column(type: 'guid')]
        public readonly string $id,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Grouping $grouping,
        #[ORM\Column(length: 80)]
        public readonly string $name,
        /** @var array<string, mixed> see FloorJson */
        #[ORM\Column(type: 'json', options: ['jsonb' => true])]
        public readonly array $floor,
        #[ORM\Column(type: 'datetimetz_immutable', options: ['default' => 'CURRENT_TIMESTAMP']),]
        public readonly \DateTimeImmutable $madeAt,
        /** Thrown away, and kept so that it can come back. */
        #[ORM\Column(type: 'datetimetz_immutable', nullable: true)]
        public ?\DateTimeImmutable $removedAt = null,
    ) {
    }
}
