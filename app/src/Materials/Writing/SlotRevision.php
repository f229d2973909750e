<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Writing;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Materials\HandOut\Copy\WorkCopy;

/**
 * What a slot held before: a row for each author’s stretch of writing; below zero, what did not fit. Written by
 * CopyWriter.
 */
#[ORM\Entity]
class SlotRevision
{
    public function __construct(
        #[ORM\Id, ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly WorkCopy $copy,
        #[ORM\Id, ORM\Column(length: 40)]
        public readonly string $slot,
        /** The student whose answer it is; the copy’s own id for an answer together. */
        #[ORM\Id, ORM\Column(type: 'guid')]
        public readonly string $owner,
        #[ORM\Id, ORM\Column]
        public readonly int $revision,
        #[ORM\Column(type: 'text')]
        public readonly string $text,
        #[ORM\Column(type: 'guid')]
        public readonly string $author,
        /** Milliseconds since 1970. */
        #[ORM\Column(type: 'bigint')]
        public readonly int $at,
        /** Signs or things put in since the stretch before, as its kind counts them; null: not counted yet. */
        #[ORM\Column(nullable: true)]
        public readonly ?int $put,
        /** Whether it was filled in then; null: not known yet. */
        #[ORM\Column(nullable: true)]
        public readonly ?bool $filled,
    ) {
    }
}
