<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Lesson\Round;

/**
 * The original of a round; students never get it. Written by Materials.
 */
#[ORM\Entity]
#[ORM\Table(name: 'original')]
class Master
{
    public function __construct(
        #[ORM\Id, ORM\Column(type: 'guid')]
        public readonly string $id,
        #[ORM\OneToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Round $round,
        #[ORM\Column(length: 120)]
        public readonly string $title,
        /** @var list<array<string, string>> */
        #[ORM\Column(type: 'json', options: ['jsonb' => true])]
        public readonly array $blocks,
        #[ORM\Column]
        public readonly int $version,
    ) {
    }
}
