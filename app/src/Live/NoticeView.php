<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live;

/**
 * A message of the teacher's.
 */
final readonly class NoticeView
{
    /**
     * @param int $seq the number of the event it came with
     * @param int $at  milliseconds since 1970
     */
    public function __construct(public int $seq, public string $text, public int $at)
    {
    }
}
