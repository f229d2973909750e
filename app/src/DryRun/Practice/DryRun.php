<?php

declare(strict_types=1);

namespace FreshHuddle\App\DryRun\Practice;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Lesson\Lesson;

/**
 * A lesson that somebody practises, with simulated students. Written by Practices; `leaseUntil` by PracticeLeaseStore.
 */
#[ORM\Entity]
#[ORM\Table(name: 'dry_run')]
class DryRun
{
    /** Nobody else drives it until then. Milliseconds since 1970. */
    #[ORM\Column(type: 'bigint', options: ['default' => 0])]
    public int $leaseUntil = 0;

    public function __construct(
        #[ORM\Id, ORM\Column(type: 'guid')]
        public readonly string $id,
        /** The one that is practised, and in which nothing happens. */
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Lesson $lesson,
        /** Its double, in a class of its own, which goes when the practice is over. */
        #[ORM\OneToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Lesson $practice,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Teacher $teacher,
        /** Which students come. */
        #[ORM\Column]
        public readonly int $seed,
        /** Milliseconds since 1970. */
        #[ORM\Column(type: 'bigint')]
        public readonly int $beganAt,
    ) {
    }
}
