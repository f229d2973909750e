<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Writing;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Materials\HandOut\Copy\WorkCopy;

/**
 * What a slot holds. Written by CopyWriter, at every pause in somebody’s typing.
 */
#[ORM\Entity]
class SlotAnswer
{
    public function __construct(
        #[ORM\Id, ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly WorkCopy $copy,
        #[ORM\Id, ORM\Column(length: 40)]
        public readonly string $slot,
        /** The student whose answer it is; the copy’s own id for an answer together. */
        #[ORM\Id, ORM\Column(type: 'guid')]
        public readonly string $owner,
        #[ORM\Column(type: 'text')]
        public readonly string $text,
        #[ORM\Column]
        public readonly int $revision,
        #[ORM\Column(type: 'guid')]
        public readonly string $author,
        /** Milliseconds since 1970. */
        #[ORM\Column(type: 'bigint')]
        public readonly int $at,
        /** How much of the slot is done, 0 to 1: everything that counts reads that. */
        #[ORM\Column(options: ['default' => 0])]
        public readonly float $share,
    ) {
    }
}
