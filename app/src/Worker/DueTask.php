<?php

declare(strict_types=1);

namespace FreshHuddle\App\Worker;

use Doctrine\ORM\Mapping as ORM;

/**
 * Work that is due, claimed by any worker: one open task a kind and subject. Written by Tasks.
 */
#[ORM\Entity]
#[ORM\UniqueConstraint(name: 'due_task_once', columns: ['kind', 'subject'])]
#[ORM\Index(name: 'due_task_due', columns: ['due_at'])]
class DueTask
{
    public function __construct(
        #[ORM\Id, ORM\Column(type: 'bigint'), ORM\GeneratedValue(strategy: 'IDENTITY')]
        public readonly int $id,
        #[ORM\Column(length: 40)]
        public readonly string $kind,
        #[ORM\Column(length: 80)]
        public readonly string $subject,
        /** @var array<string, mixed> */
        #[ORM\Column(type: 'json', options: ['jsonb' => true])]
        public readonly array $data,
        /** Milliseconds since 1970. */
        #[ORM\Column(type: 'bigint')]
        public readonly int $dueAt,
        #[ORM\Column(options: ['default' => 0])]
        public readonly int $attempts,
        /** Milliseconds since 1970; null: nobody holds it. */
        #[ORM\Column(type: 'bigint', nullable: true)]
        public readonly ?int $claimedUntil,
        #[ORM\Column(length: 200, nullable: true)]
        public readonly ?string $failure,
        /** The database's process that speaks with who holds it: while that is there, they are. */
        #[ORM\Column(nullable: true)]
        public readonly ?int $claimedBy,
    ) {
    }
}
