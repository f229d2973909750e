<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Roster\Exception;

use FreshHuddle\Core\Message;
use FreshHuddle\Core\Refused;

/**
 * It is no name a student can have.
 */
final class UnusableName extends Refused
{
    public static function empty(): self
    {
        return new self(new Message('roster.name.empty'));
    }

    public static function withoutLetters(): self
    {
        return new self(new Message('roster.name.without_letters'));
    }

    public static function tooLong(string $name, int $limit): self
    {
        return new self(
            new Message('roster.name.too_long', [
                'start' => mb_substr($name, 0, 30),
                'length' => mb_strlen($name),
                'most' => $limit,
            ]),
        );
    }

    public static function notText(): self
    {
        return new self(new Message('roster.name.not_text'));
    }
}
