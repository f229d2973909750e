<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Ready;

/**
 * A post of a group, as the course portal has it.
 */
final readonly class PlannedPost
{
    /**
     * @param string       $name     of the group
     * @param list<string> $audience ids of who sees it
     * @param list<string> $members  ids of who should
     * @param int|null     $dueAt    as the portal has it. Milliseconds since 1970
     * @param int|null     $wanted   as it was given. Milliseconds since 1970
     */
    public function __construct(
        public string $name,
        public array $audience,
        public array $members,
        public ?int $dueAt = null,
        public ?int $wanted = null,
    ) {
    }
}
