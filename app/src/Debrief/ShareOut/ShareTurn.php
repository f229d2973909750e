<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\ShareOut;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Grouping\Floor\WorkGroup;
use FreshHuddle\App\Lesson\Order\Segment;

/**
 * A group's turn to report in a share-out. Written by ShareOuts.
 */
#[ORM\Entity]
#[ORM\UniqueConstraint(name: 'share_turn_group', columns: ['segment_id', 'group_id'])]
class ShareTurn
{
    /** Milliseconds since 1970; null: not yet. */
    #[ORM\Column(type: 'bigint', nullable: true)]
    public ?int $begunAt = null;

    /** When its time is up. */
    #[ORM\Column(type: 'bigint', nullable: true)]
    public ?int $endsAt = null;

    /** When it made way for the next. */
    #[ORM\Column(type: 'bigint', nullable: true)]
    public ?int $endedAt = null;

    public function __construct(
        #[ORM\Id, ORM\Column(type: 'guid')]
        public readonly string $id,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Segment $segment,
        #[ORM\ManyToOne, ORM\JoinColumn(name: 'group_id', nullable: false, onDelete: 'CASCADE')]
        public readonly WorkGroup $group,
        /** From 0. */
        #[ORM\Column]
        public int $position,
        /** Of the time: 2 gets twice as much as 1. */
        #[ORM\Column]
        public int $share,
    ) {
    }

    public function isNow(): bool
    {
        return null !== $this->begunAt && null === $this->endedAt;
    }

    public function isToCome(): bool
    {
        return null === $this->begunAt;
    }
}
