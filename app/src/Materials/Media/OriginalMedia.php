<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Media;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Materials\Cupboard\StoredOriginal;

/**
 * A picture or recording that stands in an original: what its rights come from. Written by MediaUseStore.
 */
#[ORM\Entity]
class OriginalMedia
{
    public function __construct(
        #[ORM\Id,
            ORM\ManyToOne,
            ORM\JoinColumn(nullable: false, onDelete: 'CASCADE'),]
        public readonly StoredOriginal $original,
        #[ORM\Id, ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Media $media,
    ) {
    }
}
