<?php

declare(strict_types=1);

namespace FreshHuddle\Core;

/**
 * Text that has to fit on one line: a name, a short message.
 */
final readonly class SingleLine
{
    /**
     * @return string without space at either end, and with a single space for any run of white space within; O(n)
     */
    public static function fromText(string $text): string
    {
        return trim((string) preg_replace('/\s+/u', ' ', $text));
    }
}
