<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Recording;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Lesson\Lesson;

/**
 * What is said in a room of our own, kept for as many days as the class has said. Written by Recordings.
 */
#[ORM\Entity, ORM\Index(columns: ['room', 'state']), ORM\Index(columns: ['expires_at'])]
class Recording
{
    #[ORM\Column(length: 10)]
    public RecordingState $state = RecordingState::Running;

    /** Milliseconds since 1970; null: it is running. */
    #[ORM\Column(type: 'bigint', nullable: true)]
    public ?int $endedAt = null;

    /** Milliseconds since 1970: gone then. Null: it is running. */
    #[ORM\Column(type: 'bigint', nullable: true)]
    public ?int $expiresAt = null;

    /** In the file store; null: there is none yet. */
    #[ORM\Column(length: 60, nullable: true)]
    public ?string $file = null;

    #[ORM\Column(options: ['default' => 0])]
    public int $bytes = 0;

    public function __construct(
        #[ORM\Id, ORM\Column(type: 'guid')]
        public readonly string $id,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Lesson $lesson,

        /** `main`, or the id of a group or a side room. */
        #[ORM\Column(length: 36)]
        public readonly string $place,

        /** What the place was called then; '' for the main session. */
        #[ORM\Column(length: 120)]
        public readonly string $name,

        /** What the media server calls the room. */
        #[ORM\Column(length: 80)]
        public readonly string $room,

        /** Milliseconds since 1970. */
        #[ORM\Column(type: 'bigint')]
        public readonly int $startedAt,
    ) {
    }
}
