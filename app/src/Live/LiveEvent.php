<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Lesson\Run\Run;

/**
 * Something that happened in a lesson; never changed. Written by EventStore.
 */
#[ORM\Entity]
class LiveEvent
{
    public function __construct(
        #[ORM\Id, ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Lesson $lesson,
        #[ORM\Id, ORM\Column]
        public readonly int $seq,
        /** The round it is about, if it is about one. */
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: true, onDelete: 'CASCADE')]
        public readonly ?Round $round,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: true, onDelete: 'SET NULL')]
        public readonly ?Run $run,
        #[ORM\Column(length: 30)]
        public readonly string $kind,
        /** Milliseconds since 1970. */
        #[ORM\Column(type: 'bigint')]
        public readonly int $at,
        /** Who: `teacher:id`, `watch`, … */
        #[ORM\Column(length: 60)]
        public readonly string $actor,
        /** @var array<string, int|string|bool|null> */
        #[ORM\Column(type: 'json', options: ['jsonb' => true])]
        public readonly array $data,
    ) {
    }
}
