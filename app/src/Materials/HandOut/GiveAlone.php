<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\HandOut;

use FreshHuddle\App\Http\Body\Id;

/**
 * The body of a request: a worksheet for a part in which everybody works alone.
 */
final readonly class GiveAlone
{
    /**
     * @param string $original what everybody works on, a copy each
     */
    public function __construct(#[Id] public string $original)
    {
    }
}
