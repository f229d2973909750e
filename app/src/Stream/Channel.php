<?php

declare(strict_types=1);

namespace FreshHuddle\App\Stream;

/**
 * What one device hears. A channel is a random name that belongs to one sign-in and goes with it: nobody can guess it,
 * and after the right to listen has ended nothing is ever said on it again.
 */
final class Channel
{
    public static function fresh(): string
    {
        return bin2hex(random_bytes(16));
    }
}
