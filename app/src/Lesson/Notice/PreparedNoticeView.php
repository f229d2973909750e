<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson\Notice;

/**
 * A message that is to be sent at a set time of a round.
 */
final readonly class PreparedNoticeView
{
    /**
     * @param bool     $beforeEnd counted back from the end of the work; or else on from its beginning
     * @param int|null $dueAt     when it will be said as things stand, in milliseconds since 1970; null: not while
     *                            nobody is out
     */
    public function __construct(
        public string $id,
        public bool $beforeEnd,
        public int $seconds,
        public string $text,
        public ?int $dueAt,
    ) {
    }
}
