<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson\Run;

/**
 * Where a class was before a round was sent out: taking that back returns it there.
 */
final readonly class CameFrom
{
    /**
     * @param string|null $lesson  the lesson its students were in; null: none
     * @param string|null $segment the segment this lesson was in; null: it had not begun
     * @param int|null    $since   since when it had been in that segment; milliseconds since 1970
     */
    public function __construct(public ?string $lesson, public ?string $segment, public ?int $since)
    {
    }
}
