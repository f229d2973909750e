<?php

declare(strict_types=1);

namespace FreshHuddle\App\Http\File;

/**
 * How large an archive can be that comes in a request, in base64.
 */
final readonly class Package
{
    public const MOST_BYTES = 30_000_000;
    /** The same in base64, in characters. */
    public const MOST_BASE64 = 40_000_000;
    /** Of a request with one, in bytes. */
    public const MOST_REQUEST = 40_100_000;
}
