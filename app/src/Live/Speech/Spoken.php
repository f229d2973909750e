<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Speech;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Roster\Student;

/**
 * How long a student has spoken in one place of a lesson, by the levels of what arrived at the media server. Written by
 * SpeechStore.
 */
#[ORM\Entity]
class Spoken
{
    #[ORM\Column]
    public int $milliseconds = 0;

    public function __construct(
        #[ORM\Id, ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Lesson $lesson,
        #[ORM\Id, ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Student $student,

        /** `main`, or the id of a group or a side room. */
        #[ORM\Id, ORM\Column(length: 36)]
        public readonly string $place,
    ) {
    }
}
