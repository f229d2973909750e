<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Own;

/**
 * A relay a browser may use, as it wants to be told of it.
 */
final readonly class IceServer
{
    public function __construct(public string $urls, public string $username, public string $credential)
    {
    }
}
