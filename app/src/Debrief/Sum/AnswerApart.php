<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\Sum;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Materials\Cupboard\StoredOriginal;

/**
 * An answer that is like others and, as a teacher says, not the same. Written by AnswersApart.
 */
#[ORM\Entity]
class AnswerApart
{
    public function __construct(
        #[ORM\Id, ORM\Column(type: 'guid')]
        public readonly string $id,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Round $round,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly StoredOriginal $original,
        #[ORM\Column(length: 40)]
        public readonly string $slot,
        #[ORM\Column(type: 'text')]
        public readonly string $text,
    ) {
    }
}
