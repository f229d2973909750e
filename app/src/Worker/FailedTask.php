<?php

declare(strict_types=1);

namespace FreshHuddle\App\Worker;

use Doctrine\ORM\Mapping as ORM;

/**
 * Work that failed for good, until somebody tries it again or lets it be. Written by FailedTasks.
 */
#[ORM\Entity]
#[ORM\UniqueConstraint(name: 'failed_task_once', columns: ['kind', 'subject'])]
#[ORM\Index(name: 'failed_task_class', columns: ['class_id'])]
class FailedTask
{
    /**
     * @param array<array-key, mixed> $data as it was asked for
     */
    public function __construct(
        #[ORM\Id, ORM\Column(type: 'guid')]
        public readonly string $id,
        /** The class it was for; null for what concerns no class. */
        #[ORM\Column(type: 'guid', nullable: true)]
        public readonly ?string $classId,
        #[ORM\Column(length: 40)]
        public readonly string $kind,
        #[ORM\Column(length: 80)]
        public readonly string $subject,
        #[ORM\Column(type: 'json', options: ['jsonb' => true])]
        public readonly array $data,
        #[ORM\Column(length: 200)]
        public readonly string $failure,
        /** Milliseconds since 1970. */
        #[ORM\Column(type: 'bigint')]
        public readonly int $failedAt,
    ) {
    }
}
