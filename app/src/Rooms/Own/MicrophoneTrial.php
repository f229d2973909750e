<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Own;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Roster\Student;
use FreshHuddle\Core\Rooms\MicrophoneOutcome;

/**
 * The last time a student's device was to send sound. Written by MicrophoneTrials.
 */
#[ORM\Entity]
class MicrophoneTrial
{
    public function __construct(
        #[ORM\Id, ORM\OneToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Student $student,
        #[ORM\Column(length: 12)]
        public MicrophoneOutcome $outcome,

        /** Milliseconds since 1970. */
        #[ORM\Column(type: 'bigint')]
        public int $at,
    ) {
    }
}
