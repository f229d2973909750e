<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Speech;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Roster\Student;

/**
 * Who may speak in the main session of a lesson; without one, everybody may. Written by Speakers.
 */
#[ORM\Entity]
class Speaking
{
    /** Everybody but the staff and whoever has the microphone. */
    #[ORM\Column]
    public bool $isMuted = false;

    /** Who has been given the microphone. */
    #[ORM\ManyToOne, ORM\JoinColumn(nullable: true, onDelete: 'SET NULL')]
    public ?Student $speaker = null;

    public function __construct(
        #[ORM\Id, ORM\OneToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Lesson $lesson,
    ) {
    }
}
