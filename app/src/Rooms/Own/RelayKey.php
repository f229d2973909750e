<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Own;

/**
 * What lets one page use the relay.
 */
final readonly class RelayKey
{
    /**
     * @param string $urls     as browsers take it
     * @param string $username with its end, in seconds since 1970
     */
    public function __construct(public string $urls, public string $username, public string $credential)
    {
    }
}
