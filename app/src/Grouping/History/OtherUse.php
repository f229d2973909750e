<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\History;

/**
 * A lesson that has sent these groups out: what is changed now does not change what it keeps.
 */
final readonly class OtherUse
{
    /**
     * @param int|null $startsAt milliseconds since 1970
     * @param bool     $isOut    its groups are at work just now: a change moves them
     */
    public function __construct(
        public string $lessonId,
        public string $title,
        public ?int $startsAt,
        public bool $isOut,
    ) {
    }
}
