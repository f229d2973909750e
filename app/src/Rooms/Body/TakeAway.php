<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Body;

/**
 * The body of a request: take a room away, also while somebody is in it.
 */
final readonly class TakeAway
{
    /**
     * @param bool $sure also where people are in it just now
     */
    public function __construct(public bool $sure = false)
    {
    }
}
