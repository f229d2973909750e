<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms;

final readonly class TakeAway
{
    /**
     * @param bool $sure also where people are in it just now
     */
    public function __construct(public bool $sure = false)
    {
    }
}
