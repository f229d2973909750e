<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Rooms;

/**
 * What students may do in a room, beside talking.
 */
final readonly class Allowed
{
    public function __construct(public bool $record = false, public bool $shareScreen = true, public bool $write = true)
    {
    }
}
