<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\History;

/**
 * A grouping students have sat in.
 */
final readonly class GroupingUse
{
    /**
     * @param int                         $at     milliseconds since 1970
     * @param list<list<string>>          $groups ids, seat 1 first
     * @param list<array{string, string}> $roles  student id, role
     */
    public function __construct(
        public string $name,
        public string $lesson,
        public int $at,
        public array $groups,
        public array $roles,
    ) {
    }
}
