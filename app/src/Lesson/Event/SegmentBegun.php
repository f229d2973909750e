<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson\Event;

/**
 * A lesson has come to a segment of its running order.
 */
final readonly class SegmentBegun
{
    public function __construct(public string $segment)
    {
    }
}
