<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Speech;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Roster\Student;

/**
 * A student asks to speak in the main session. Written by Speakers.
 */
#[ORM\Entity]
class SpeakingWish
{
    public function __construct(
        #[ORM\Id, ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Lesson $lesson,
        #[ORM\Id, ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Student $student,

        /** Milliseconds since 1970. */
        #[ORM\Column(type: 'bigint')]
        public readonly int $at,
    ) {
    }
}
