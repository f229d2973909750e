<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live;

final readonly class SignAnswer
{
    /**
     * @param int $seq       the last event that concerns students: a page that knows an older one asks anew
     * @param int $serverNow milliseconds since 1970
     */
    public function __construct(public ?string $lesson, public int $seq, public int $serverNow)
    {
    }
}
