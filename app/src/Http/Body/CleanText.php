<?php

declare(strict_types=1);

namespace FreshHuddle\App\Http\Body;

/**
 * Text as it may be kept and shown: lines end in one way, and what nobody can type or see is taken out: control signs
 * (PostgreSQL keeps no null sign) and signs that turn the direction of what stands around them.
 */
final class CleanText
{
    private const UNSEEN = '/(?![\t\n])\p{Cc}|[\x{202A}-\x{202E}\x{2066}-\x{2069}]/u';

    /**
     * @param string $text valid UTF-8
     */
    public static function clean(string $text): string
    {
        return (string) preg_replace(self::UNSEEN, '', str_replace(["\r\n", "\r"], "\n", $text));
    }
}
