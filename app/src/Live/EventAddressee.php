<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Roster\Student;

/**
 * A student whom something that happened concerns. Written by EventStore.
 */
#[ORM\Entity]
class EventAddressee
{
    public function __construct(
        #[ORM\Id, ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Lesson $lesson,
        /** Of the event in its lesson. */
        #[ORM\Id, ORM\Column]
        public readonly int $seq,
        #[ORM\Id, ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Student $student,
    ) {
    }
}
