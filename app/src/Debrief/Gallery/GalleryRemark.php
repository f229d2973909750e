<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\Gallery;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Materials\HandOut\Copy\WorkCopy;
use FreshHuddle\App\Roster\Student;

/**
 * A student's short remark beside a copy in a gallery: one each. Written by Galleries.
 */
#[ORM\Entity]
#[ORM\UniqueConstraint(name: 'gallery_remark_once', columns: ['gallery_id', 'copy_id', 'student_id'])]
class GalleryRemark
{
    public function __construct(
        #[ORM\Id, ORM\Column(type: 'guid')]
        public readonly string $id,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Gallery $gallery,
        #[ORM\ManyToOne, ORM\JoinColumn(name: 'copy_id', nullable: false, onDelete: 'CASCADE')]
        public readonly WorkCopy $copy,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Student $student,
        #[ORM\Column(length: 140)]
        public string $text,
        /** Milliseconds since 1970. */
        #[ORM\Column(type: 'bigint')]
        public int $at,
    ) {
    }
}
