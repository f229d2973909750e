<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Signal;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Grouping\Floor\WorkGroup;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\Core\Live\Signal\CallAbout;
use FreshHuddle\Core\Live\Signal\ChalkMark;

/**
 * What has passed between a group and whoever teaches, as the events of its round have made it: they say it again at
 * any time (`huddle:projections`). Moments are milliseconds since 1970. Written by SignalStore.
 */
#[ORM\Entity]
class GroupSignal
{
    public function __construct(
        #[ORM\Id, ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Round $round,
        #[ORM\Id,
            ORM\ManyToOne,
            ORM\JoinColumn(name: 'group_id', nullable: false, onDelete: 'CASCADE'),]
        public readonly WorkGroup $group,
        /** The student who called. */
        #[ORM\Column(type: 'guid', nullable: true)]
        public readonly ?string $calledBy,
        #[ORM\Column(length: 12, nullable: true)]
        public readonly ?CallAbout $about,
        #[ORM\Column(type: 'bigint', nullable: true)]
        public readonly ?int $calledAt,
        /** When the group was told that it was seen. */
        #[ORM\Column(type: 'bigint', nullable: true)]
        public readonly ?int $callSeenAt,
        #[ORM\Column]
        public readonly int $visits,
        /** When the last visit ended. */
        #[ORM\Column(type: 'bigint', nullable: true)]
        public readonly ?int $visitedAt,
        /** Who of the staff is there now. */
        #[ORM\Column(type: 'guid', nullable: true)]
        public readonly ?string $visitor,
        #[ORM\Column(type: 'bigint', nullable: true)]
        public readonly ?int $visitSince,
        #[ORM\Column(length: 12, nullable: true)]
        public readonly ?ChalkMark $mark,
        #[ORM\Column(type: 'bigint', nullable: true)]
        public readonly ?int $markedAt,
    ) {
    }
}
