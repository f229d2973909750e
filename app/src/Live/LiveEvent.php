<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Lesson\Run\Run;
use FreshHuddle\App\Roster\Student;
use FreshHuddle\Core\Lesson\ActorKind;

/**
 * Something that happened in a lesson; never changed. Written by EventStore.
 */
#[ORM\Entity]
#[ORM\Index(name: 'live_event_about', columns: ['lesson_id', 'student_id', 'kind', 'seq'])]
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
        #[ORM\Column(length: 10)]
        public readonly ActorKind $actorKind,
        /** Of the teacher or the student; null: nobody did it. */
        #[ORM\Column(type: 'guid', nullable: true)]
        public readonly ?string $actorId,
        /** Whom it is about, if it is about one student. */
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: true, onDelete: 'SET NULL')]
        public readonly ?Student $student,
        /** It concerns certain students alone (EventAddressee), perhaps none. */
        #[ORM\Column]
        public readonly bool $addressed,
        /** @var array<string, int|string|bool|null> */
        #[ORM\Column(type: 'json', options: ['jsonb' => true])]
        public readonly array $data,
    ) {
    }
}
