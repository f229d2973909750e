<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Job;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Account\Teacher;

/**
 * Something a teacher waits for, done step by step by the worker. Written by Jobs.
 */
#[ORM\Entity]
#[ORM\Table(name: 'job')]
class Job
{
    #[ORM\Column(length: 10, enumType: JobState::class)]
    public JobState $state = JobState::Working;

    /** Of `total` steps. */
    #[ORM\Column(options: ['default' => 0])]
    public int $done = 0;

    /** @var array<array-key, string> what came of the steps so far */
    #[ORM\Column(type: 'json', options: ['jsonb' => true, 'default' => '{}'])]
    public array $parts = [];

    /** What came of it all: an id, or a key of the file store. */
    #[ORM\Column(length: 80, nullable: true)]
    public ?string $result = null;

    /** Why not, for the teacher. */
    #[ORM\Column(length: 300, nullable: true)]
    public ?string $failure = null;

    public function __construct(
        #[ORM\Id, ORM\Column(type: 'guid')]
        public readonly string $id,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Teacher $teacher,
        #[ORM\Column(length: 10, enumType: JobKind::class)]
        public readonly JobKind $kind,
        /** What the file is called that comes in or goes out. */
        #[ORM\Column(length: 200)]
        public readonly string $name,
        /** What it is made from: a key of the file store. */
        #[ORM\Column(length: 80)]
        public readonly string $input,
        #[ORM\Column]
        public readonly int $total,
        /** Milliseconds since 1970. */
        #[ORM\Column(type: 'bigint')]
        public readonly int $madeAt,
    ) {
    }
}
