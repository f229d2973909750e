<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\Question;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Roster\Student;

/**
 * What a student has answered to a quick question: the last word counts. Written by AnswerStore.
 */
#[ORM\Entity]
class QuickAnswer
{
    public function __construct(
        #[ORM\Id, ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly QuickQuestion $question,
        #[ORM\Id, ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Student $student,
        /** As the slot of its kind keeps it. */
        #[ORM\Column(length: 200)]
        public readonly string $value,
        /** Milliseconds since 1970. */
        #[ORM\Column(type: 'bigint')]
        public readonly int $at,
    ) {
    }
}
