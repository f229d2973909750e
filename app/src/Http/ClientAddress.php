<?php

declare(strict_types=1);

namespace FreshHuddle\App\Http;

use Symfony\Component\HttpFoundation\Request;

/**
 * Where a request comes from, as far as limits care: an address, or the network of 2^64 addresses that one line of the
 * newer kind has to itself.
 */
final class ClientAddress
{
    public static function fromRequest(Request $request): string
    {
        $address = $request->getClientIp() ?? '';
        $bytes = inet_pton($address);

        return false !== $bytes && 16 === \strlen($bytes) ? bin2hex(substr($bytes, 0, 8)) : $address;
    }
}
