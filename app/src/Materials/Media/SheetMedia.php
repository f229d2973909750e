<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Media;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Materials\HandOut\Copy\WorkCopy;

/**
 * A picture or recording that stands on the pages of a copy: what its rights come from. Written by MediaUseStore.
 */
#[ORM\Entity]
class SheetMedia
{
    public function __construct(
        #[ORM\Id, ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly WorkCopy $copy,
        #[ORM\Id, ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Media $media,
    ) {
    }
}
