<?php

declare(strict_types=1);

namespace FreshHuddle\App\Http;

/**
 * Addresses that nginx checks by itself (`secure_link`): a value, the second it ends, and a signature over both.
 */
final readonly class SecureLink
{
    /**
     * @param string $prefix of the path, without a slash at its end
     * @param string $value  letters that may stand in a path
     * @param int    $until  seconds since 1970
     * @param string $secret the one nginx has in its settings
     */
    public static function create(
        string $prefix,
        string $value,
        int $until,
        #[\SensitiveParameter]
        string $secret,
    ): string {
        $signature = rtrim(strtr(base64_encode(md5("{$until} {$value} {$secret}", true)), '+/', '-_'), '=');

        return "{$prefix}/{$until}/{$signature}/{$value}";
    }
}
