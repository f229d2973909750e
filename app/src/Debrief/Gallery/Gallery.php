<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\Gallery;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Lesson\Round\Round;

/**
 * All copies of a round, open to the whole class to be read. Written by Galleries.
 */
#[ORM\Entity]
class Gallery
{
    /** When it was closed; milliseconds since 1970. */
    #[ORM\Column(type: 'bigint', nullable: true)]
    public ?int $closedAt = null;

    /** Until when it stays open, also after the lesson; null: as long as the lesson lasts. */
    #[ORM\Column(type: 'bigint', nullable: true)]
    public ?int $until = null;

    /** Each student may leave one short remark beside each copy. */
    #[ORM\Column]
    public bool $remarks = false;

    public function __construct(
        #[ORM\Id, ORM\Column(type: 'guid')]
        public readonly string $id,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Lesson $lesson,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Round $round,
        #[ORM\Column(type: 'bigint')]
        public readonly int $openedAt,
    ) {
    }

    /**
     * @param int $now milliseconds since 1970
     */
    public function isOpen(int $now): bool
    {
        return null === $this->closedAt
            && null === $this->lesson->removedAt
            && (null === $this->until ? null === $this->lesson->endedAt : $now < $this->until);
    }
}
