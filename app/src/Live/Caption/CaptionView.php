<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Caption;

/**
 * A line of what is said in a room.
 */
final readonly class CaptionView
{
    /**
     * @param int $id later lines have higher numbers
     * @param int $at milliseconds since 1970
     */
    public function __construct(public int $id, public string $text, public int $at)
    {
    }
}
