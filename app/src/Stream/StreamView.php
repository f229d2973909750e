<?php

declare(strict_types=1);

namespace FreshHuddle\App\Stream;

/**
 * The address of a stream, and how long it may be used.
 */
final readonly class StreamView
{
    /**
     * @param string $address    where to listen
     * @param int    $forSeconds how long the address is good for; then ask for another
     */
    public function __construct(public string $address, public int $forSeconds)
    {
    }
}
