<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Notice;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Roster\Student;

/**
 * A student's page has shown a notice. Written by NoticeStore.
 */
#[ORM\Entity]
class NoticeSeen
{
    public function __construct(
        #[ORM\Id, ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Lesson $lesson,
        /** The number of the event the notice came with. */
        #[ORM\Id, ORM\Column]
        public readonly int $seq,
        #[ORM\Id,
            ORM\ManyToOne,
            ORM\JoinColumn(nullable: false, onDelete: 'CASCADE'),]
        public readonly Student $student,
        /** Milliseconds since 1970. */
        #[ORM\Column(type: 'bigint')]
        public readonly int $at,
    ) {
    }
}
