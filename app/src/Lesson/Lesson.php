<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Roster\SchoolClass;

/**
 * One live meeting of a class.
 */
#[ORM\Entity]
class Lesson
{
    /** The number of the last event; the next has one more. */
    #[ORM\Column(options: ['default' => 0])]
    public int $eventSeq = 0;

    /** When staff last looked at it: while they do, it is on. */
    #[ORM\Column(type: 'datetimetz_immutable', nullable: true)]
    public ?\DateTimeImmutable $watchedAt = null;

    public function __construct(
        #[ORM\Id, ORM\Column(type: 'guid')]
        public readonly string $id,
        #[ORM\ManyToOne, ORM\JoinColumn(name: 'class_id', nullable: false)]
        public readonly SchoolClass $class,
        #[ORM\Column(length: 120)]
        public string $title,
        #[ORM\Column]
        public int $minutes,
        #[ORM\Column(type: 'datetimetz_immutable')]
        public readonly \DateTimeImmutable $createdAt,
    ) {
    }
}
