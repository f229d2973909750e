<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Media;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Materials\HandOut\Copy\WorkCopy;
use FreshHuddle\App\Roster\Student;

/**
 * A picture that a member has put into a copy: whoever may read the copy may see it. Written by MediaShelf.
 */
#[ORM\Entity]
class CopyMedia
{
    public function __construct(
        #[ORM\Id, ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly WorkCopy $copy,
        #[ORM\Id, ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Media $media,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: true, onDelete: 'SET NULL')]
        public readonly ?Student $by,
    ) {
    }
}
