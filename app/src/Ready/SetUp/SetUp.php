<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\SetUp;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Lesson\Round\Round;

/**
 * A set-up list that somebody had carried out: one at a time a lesson. Written by SetUpStore.
 */
#[ORM\Entity]
#[ORM\UniqueConstraint(name: 'set_up_open', columns: ['lesson_id'], options: ['where' => '(done_at IS NULL)'])]
class SetUp
{
    /** Milliseconds since 1970; null: it is being carried out. */
    #[ORM\Column(type: 'bigint', nullable: true)]
    public ?int $doneAt = null;

    public function __construct(
        #[ORM\Id, ORM\Column(type: 'guid')]
        public readonly string $id,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Lesson $lesson,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Round $round,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Teacher $teacher,
        /** Milliseconds since 1970. */
        #[ORM\Column(type: 'bigint')]
        public readonly int $begunAt,
        #[ORM\Column(length: 32)]
        public readonly string $digest,
    ) {
    }
}
