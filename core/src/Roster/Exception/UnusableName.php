<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Roster\Exception;

final class UnusableName extends \InvalidArgumentException
{
    public static function empty(): self
    {
        return new self('A name needs at least one letter.');
    }

    public static function withoutLetters(): self
    {
        return new self('No letters in it, so not read as a name.');
    }

    public static function tooLong(string $name, int $limit): self
    {
        return new self(\sprintf('“%s…” has %d signs; a name may have %d.', mb_substr($name, 0, 30), mb_strlen($name), $limit));
    }

    public static function notText(): self
    {
        return new self('This is not readable text (not UTF-8).');
    }
}
