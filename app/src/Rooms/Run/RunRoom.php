<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Run;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Lesson\Run\RunGroup;
use FreshHuddle\Core\Rooms\SourceKind;

/**
 * The room a group had while a run went on: it stays that run's when the next lesson takes the room or its link over.
 * Written by RunRoomStore.
 */
#[ORM\Entity]
class RunRoom
{
    public function __construct(
        #[ORM\Id,
            ORM\OneToOne,
            ORM\JoinColumn(nullable: false, onDelete: 'CASCADE'),]
        public readonly RunGroup $runGroup,
        #[ORM\Column(length: 120)]
        public readonly string $name,
        #[ORM\Column(length: 20)]
        public readonly SourceKind $source,
        /** The address everybody went in by; null where each had a link of their own, and where there was none. */
        #[ORM\Column(length: 1000, nullable: true)]
        public readonly ?string $link,
    ) {
    }
}
