<?php

declare(strict_types=1);

namespace FreshHuddle\App\Worker;

/**
 * A piece of work a worker has claimed.
 */
final readonly class Task
{
    /**
     * @param array<array-key, mixed> $data
     * @param int                     $attempts     this one included
     * @param int                     $claimedUntil milliseconds since 1970; also tells this claim from a later one
     */
    public function __construct(
        public int $id,
        public string $kind,
        public string $subject,
        public array $data,
        public int $attempts,
        public int $claimedUntil,
    ) {
    }
}
