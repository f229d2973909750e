<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Moving;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Roster\Student;
use FreshHuddle\Core\Live\Moving\Help;

/**
 * What was last done about where a student is to be, as the events of the round have made it: they say it again at any
 * time (`huddle:projections`). Moments are milliseconds since 1970. Written by MoveStore.
 */
#[ORM\Entity]
class StudentMove
{
    public function __construct(
        #[ORM\Id, ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Round $round,
        #[ORM\Id,
            ORM\ManyToOne,
            ORM\JoinColumn(nullable: false, onDelete: 'CASCADE'),]
        public readonly Student $student,
        /** `main` or the id of a side room; null: with their group. */
        #[ORM\Column(length: 40, nullable: true)]
        public readonly ?string $place,
        #[ORM\Column(type: 'bigint')]
        public readonly int $fromAt,
        /** Where they are to be until then. */
        #[ORM\Column(length: 40, nullable: true)]
        public readonly ?string $was,
        #[ORM\Column(type: 'bigint', nullable: true)]
        public readonly ?int $fetchedAt,
        #[ORM\Column(length: 12, nullable: true)]
        public readonly ?Help $help,
    ) {
    }
}
