<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Support;

use FreshHuddle\Core\Message;

/**
 * A message as a test can read it: “rule.apart(Ada, Ben)”. How it is worded is the application's.
 */
final class Plainly
{
    public static function said(?Message $message): string
    {
        return null === $message
            ? ''
            : self::code($message->code).'('.implode('; ', array_map(self::value(...), $message->values)).')';
    }

    private static function code(string $code): string
    {
        return substr($code, (int) strpos($code, '.') + 1);
    }

    private static function value(mixed $value): string
    {
        return match (true) {
            $value instanceof Message => self::said($value),
            \is_array($value) => implode(', ', array_map(self::value(...), $value)),
            default => \is_scalar($value) ? (string) $value : '?',
        };
    }
}
