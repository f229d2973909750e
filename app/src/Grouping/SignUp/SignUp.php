<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\SignUp;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Grouping\Grouping;

/**
 * Students take seats themselves from when it was opened until everybody is seated; a grouping has one open at a time.
 * Written by SignUps.
 */
#[ORM\Entity]
#[ORM\UniqueConstraint(name: 'sign_up_open', columns: ['grouping_id'], options: ['where' => '(ended_at IS NULL)'])]
class SignUp
{
    /** From when everybody is seated and it is over; milliseconds since 1970. */
    #[ORM\Column(type: 'bigint', nullable: true)]
    public ?int $endedAt = null;

    public function __construct(
        #[ORM\Id, ORM\Column(type: 'guid')]
        public readonly string $id,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Grouping $grouping,
        /** Milliseconds since 1970. */
        #[ORM\Column(type: 'bigint')]
        public readonly int $openedAt,
        /** At each table. */
        #[ORM\Column]
        public int $seats,
        /** When nobody takes a seat any more; milliseconds since 1970; null: when the teacher says. */
        #[ORM\Column(type: 'bigint', nullable: true)]
        public ?int $closesAt,
    ) {
    }
}
