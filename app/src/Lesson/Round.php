<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Grouping\Grouping;

/**
 * A stretch of group work in a lesson, with the moments that have been agreed for it.
 */
#[ORM\Entity]
#[ORM\UniqueConstraint(name: 'round_number', columns: ['lesson_id', 'number'])]
class Round
{
    #[ORM\Column]
    public int $number = 1;

    #[ORM\Column(type: 'text')]
    public string $instructions = '';

    #[ORM\Column]
    public int $minutes = 15;

    /** How long students see who is with whom before they are sent. */
    #[ORM\Column]
    public int $lookSeconds = 20;

    #[ORM\Column]
    public int $callBackSeconds = 30;

    /** Whether the call back begins by itself at the end. */
    #[ORM\Column]
    public bool $autoCallBack = false;

    /** @var array<string, int|null> see MomentsJson */
    #[ORM\Column(type: 'json', options: ['jsonb' => true, 'default' => '{}'])]
    public array $moments = [];

    public function __construct(
        #[ORM\Id, ORM\Column(type: 'guid')]
        public readonly string $id,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        public readonly Lesson $lesson,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        public Grouping $grouping,
    ) {
    }
}
